import { area, between, bottom, overlaps, right, type Box } from "./box";

/**
 * The largest upright rectangle inside `frame` that touches none of `obstacles`.
 * Every edge of a largest rectangle lies on the frame or on an obstacle, so trying those edges is exact.
 * Answers an empty box at the frame's corner when nothing is left.
 */
export function largestFree(frame: Box, obstacles: Box[]): Box {
  const xs = edges(frame.x, right(frame), obstacles, (o) => [o.x, right(o)]);
  const ys = edges(frame.y, bottom(frame), obstacles, (o) => [o.y, bottom(o)]);
  let best = between(frame.x, frame.y, frame.x, frame.y);
  for (const left of xs) {
    for (const top of ys) {
      for (const rightEdge of xs) {
        for (const bottomEdge of ys) {
          const candidate = between(left, top, rightEdge, bottomEdge);
          if (area(candidate) > area(best) && !obstacles.some((o) => overlaps(candidate, o))) {
            best = candidate;
          }
        }
      }
    }
  }
  return best;
}

function edges(from: number, to: number, obstacles: Box[], of: (o: Box) => number[]): number[] {
  const inside = obstacles.flatMap(of).filter((edge) => edge > from && edge < to);
  return [...new Set([from, ...inside, to])];
}
