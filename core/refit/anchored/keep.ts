import { box, type Box } from "../../geometry";
import type { Pin } from "../../piece";

/** What something keeps to: as it stood in the composition, where it stands now, and how much larger all is there. */
export interface Reference {
  from: Box;
  to: Box;
  scale: number;
}

export type Side = "start" | "middle" | "end";

/** Off the middle by less than this share of the length is in the middle. By eye. */
const MIDDLE = 0.1;
/** An edge nearer than this is touched, in lead pixels. */
const TOUCH = 1;

interface Span {
  start: number;
  length: number;
}

const end = ({ start, length }: Span): number => start + length;
const across = ({ x, width }: Box): Span => ({ start: x, length: width });
const down = ({ y, height }: Box): Span => ({ start: y, length: height });

const H = { left: "start", centre: "middle", right: "end" } as const;
const V = { top: "start", middle: "middle", bottom: "end" } as const;

/**
 * Where a box of the composition comes to stand: as far from the edge that it is pinned to, or else is nearest to, as it
 * was, scaled. One that reaches from edge to edge still does where it `stretches`.
 */
export function keptIn(
  own: Box,
  { from, to, scale }: Reference,
  pin: Pin,
  stretches: boolean,
): Box {
  const x = kept(across(own), across(from), across(to), scale, pin.h && H[pin.h], stretches);
  const y = kept(down(own), down(from), down(to), scale, pin.v && V[pin.v], stretches);
  return box(x.start, y.start, x.length, y.length);
}

function kept(
  own: Span,
  from: Span,
  to: Span,
  scale: number,
  wanted: Side | undefined,
  stretches: boolean,
): Span {
  const before = own.start - from.start;
  const after = end(from) - end(own);
  const reaches = before <= TOUCH && after <= TOUCH;
  if (reaches && stretches && !wanted)
    return { start: to.start + before * scale, length: to.length - (before + after) * scale };
  const length = own.length * scale;
  const side = wanted ?? sideOf(own, from);
  const off = (before - after) / 2;
  if (side === "middle") {
    const kept = Math.abs(off) <= MIDDLE * from.length ? off * scale : 0;
    return { start: to.start + (to.length - length) / 2 + kept, length };
  }
  // One that is sent to another edge than it stood at keeps the distance that it had from its own.
  const distance =
    (side === sideOf(own, from) || !wanted ? nearestTo(side) : Math.min(before, after)) * scale;
  return { start: side === "start" ? to.start + distance : end(to) - distance - length, length };

  function nearestTo(one: Side): number {
    return one === "start" ? before : after;
  }
}

/** The side that a span is nearest to in another. */
function sideOf(own: Span, from: Span): Side {
  const before = own.start - from.start;
  const after = end(from) - end(own);
  if (Math.abs(before - after) / 2 <= MIDDLE * from.length) return "middle";
  return before < after ? "start" : "end";
}
