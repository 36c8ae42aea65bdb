import { bottom, overlaps, right, type Box, type Point } from "../geometry";

/** What a box may be moved to, in pixels of its size. */
export interface SnapTargets {
  frame: Box;
  /** Within the margins, and within what the channel leaves free. */
  margin: Box;
  safe: Box;
  others: readonly Box[];
}

/** A line that a box was moved to: at `at` on its axis, seen from `from` to `to` on the other. */
export interface Guide {
  axis: "x" | "y";
  at: number;
  from: number;
  to: number;
}

export interface Snapped {
  /** How far the box goes on to stand exactly. */
  by: Point;
  guides: Guide[];
}

interface Line {
  at: number;
  from: number;
  to: number;
}

/** One axis of a box: where it begins and ends on it, and on the other. */
interface Span {
  start: number;
  end: number;
  crossStart: number;
  crossEnd: number;
}

type Axis = "x" | "y";

const spanOf = (b: Box, axis: Axis): Span =>
  axis === "x"
    ? { start: b.x, end: right(b), crossStart: b.y, crossEnd: bottom(b) }
    : { start: b.y, end: bottom(b), crossStart: b.x, crossEnd: right(b) };

const middle = ({ start, end }: Span): number => (start + end) / 2;

/**
 * Where a box that is moved comes to stand when something is near: the frame's middle, the margins, what is safe, edges and
 * middles of other boxes, and places that leave equal gaps. Of two that are as near, the one that is named first. `within` is how
 * near, in pixels; `edges` are those of the box that move, all three lines when not given.
 */
export function snapped(
  moving: Box,
  targets: SnapTargets,
  within: number,
  edges: Partial<Record<Axis, "start" | "end" | "none">> = {},
): Snapped {
  const [x, y] = (["x", "y"] as const).map((axis) =>
    nearest(moving, targets, within, axis, edges[axis]),
  );
  return {
    by: { x: x?.by ?? 0, y: y?.by ?? 0 },
    guides: [
      ...(x ? [{ axis: "x" as const, ...x.line }] : []),
      ...(y ? [{ axis: "y" as const, ...y.line }] : []),
    ],
  };
}

function nearest(
  moving: Box,
  targets: SnapTargets,
  within: number,
  axis: Axis,
  edge?: "start" | "end" | "none",
): { by: number; line: Line } | undefined {
  if (edge === "none") return undefined;
  const own = spanOf(moving, axis);
  const points = edge ? [own[edge]] : [middle(own), own.start, own.end];
  let best: { by: number; line: Line } | undefined;
  const offer = (by: number, line: Line): void => {
    if (Math.abs(by) <= within && (!best || Math.abs(by) < Math.abs(best.by) - CLOSER))
      best = { by, line };
  };
  for (const line of linesOf(targets, own, axis))
    for (const point of points) offer(line.at - point, line);
  if (!edge)
    for (const { start, line } of evenGaps(targets.others, own, axis))
      offer(start - own.start, line);
  return best;
}

/** What is nearer by less than this is as near. */
const CLOSER = 0.01;

function linesOf({ frame, margin, safe, others }: SnapTargets, own: Span, axis: Axis): Line[] {
  const line = (at: number, other: Span): Line => ({
    at,
    from: Math.min(own.crossStart, other.crossStart),
    to: Math.max(own.crossEnd, other.crossEnd),
  });
  const whole = spanOf(frame, axis);
  const inner = [margin, safe].map((b) => spanOf(b, axis));
  return [
    line(middle(whole), whole),
    ...inner.flatMap((span) => [line(span.start, span), line(span.end, span)]),
    line(whole.start, whole),
    line(whole.end, whole),
    ...others.flatMap((b) => {
      const span = spanOf(b, axis);
      return [line(span.start, span), line(span.end, span), line(middle(span), span)];
    }),
  ];
}

/** Places beside or between two that stand in a row with it, with one gap for all. */
function evenGaps(others: readonly Box[], own: Span, axis: Axis): { start: number; line: Line }[] {
  const row = others
    .map((b) => spanOf(b, axis))
    .filter((span) => span.crossStart < own.crossEnd && span.crossEnd > own.crossStart)
    .sort((a, b) => a.start - b.start);
  const size = own.end - own.start;
  return row.slice(1).flatMap((next, index) => {
    const before = row[index]!;
    const gap = next.start - before.end;
    if (gap <= 0) return [];
    const starts = [next.end + gap, before.start - gap - size];
    if (gap > size) starts.push(before.end + (gap - size) / 2);
    const [from, to] = [
      Math.min(before.crossStart, own.crossStart),
      Math.max(next.crossEnd, own.crossEnd),
    ];
    return starts.map((start) => ({ start, line: { at: start, from, to } }));
  });
}

/** The boxes that a rectangle touches, as when one draws it around them. */
export const touchedBy = <T extends { box: Box }>(area: Box, nodes: readonly T[]): T[] =>
  nodes.filter(({ box }) => overlaps(area, box));
