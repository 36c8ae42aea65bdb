import { bottom, overlaps, right, type Box, type Point } from "../geometry";

/** What a box may be moved to, in pixels of its size. */
export interface SnapTargets {
  frame: Box;
  /** Within the margins, and within what the channel leaves free. */
  margin: Box;
  safe: Box;
  others: readonly Box[];
  /** Where the first lines of others' words stand, in pixels down the frame. */
  baselines?: readonly number[];
}

/**
 * A line that a box was moved to: at `at` on its axis, seen from `from` to `to` on the other. `gaps` are those
 * that became equal, along the axis, at `across` on the other.
 */
export interface Guide {
  axis: "x" | "y";
  at: number;
  from: number;
  to: number;
  gaps?: { from: number; to: number; across: number }[];
}

export interface Snapped {
  /** How far the box goes on to stand exactly. */
  by: Point;
  guides: Guide[];
}

type Line = Omit<Guide, "axis">;

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
 * middles of other boxes, baselines of other words, and places that leave equal gaps. Of two that are as near, the one that is named first. `within` is how
 * near, in pixels; `edges` are those of the box that move, all three lines when not given; `baseline` is where its own words stand.
 */
export function snapped(
  moving: Box,
  targets: SnapTargets,
  within: number,
  edges: Partial<Record<Axis, "start" | "end" | "none">> = {},
  baseline?: number,
): Snapped {
  const [x, y] = (["x", "y"] as const).map((axis) =>
    nearest(moving, targets, within, axis, edges[axis], axis === "y" ? baseline : undefined),
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
  baseline?: number,
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
  // Words stand on a line with other words, whatever their boxes do.
  if (baseline !== undefined && !edge)
    for (const at of targets.baselines ?? [])
      offer(at - baseline, { at, from: targets.frame.x, to: right(targets.frame) });
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
    const half = (gap - size) / 2;
    // Where it would begin, and the gaps that are then equal.
    const places = [
      {
        start: next.end + gap,
        gaps: [
          [before.end, next.start],
          [next.end, next.end + gap],
        ],
      },
      {
        start: before.start - gap - size,
        gaps: [
          [before.start - gap, before.start],
          [before.end, next.start],
        ],
      },
      ...(gap > size
        ? [
            {
              start: before.end + half,
              gaps: [
                [before.end, before.end + half],
                [next.start - half, next.start],
              ],
            },
          ]
        : []),
    ] as const;
    const [from, to] = [
      Math.min(before.crossStart, own.crossStart),
      Math.max(next.crossEnd, own.crossEnd),
    ];
    const across =
      (Math.max(before.crossStart, own.crossStart) + Math.min(before.crossEnd, own.crossEnd)) / 2;
    return places.map(({ start, gaps }) => ({
      start,
      line: { at: start, from, to, gaps: gaps.map(([a, b]) => ({ from: a, to: b, across })) },
    }));
  });
}

/** How far a box is from what is nearest on each side, in pixels; nothing where nothing stands on that side. */
export interface Distance {
  axis: Axis;
  from: number;
  to: number;
  /** Where it is measured on the other axis. */
  across: number;
}

/** From a box to its nearest neighbours beside, above and below it, or to the frame's edges where there are none. */
export function distancesOf(moving: Box, { frame, others }: SnapTargets): Distance[] {
  return (["x", "y"] as const).flatMap((axis) => {
    const own = spanOf(moving, axis);
    const whole = spanOf(frame, axis);
    const spans = others
      .map((b) => spanOf(b, axis))
      .filter(({ crossStart, crossEnd }) => crossStart < own.crossEnd && crossEnd > own.crossStart);
    const before = spans.filter(({ end }) => end <= own.start).map(({ end }) => end);
    const after = spans.filter(({ start }) => start >= own.end).map(({ start }) => start);
    const across = (own.crossStart + own.crossEnd) / 2;
    return [
      { axis, from: Math.max(whole.start, ...before), to: own.start, across },
      { axis, from: own.end, to: Math.min(whole.end, ...after), across },
    ].filter(({ from, to }) => to - from >= 1);
  });
}

/** The boxes that a rectangle touches, as when one draws it around them. */
export const touchedBy = <T extends { box: Box }>(area: Box, nodes: readonly T[]): T[] =>
  nodes.filter(({ box }) => overlaps(area, box));
