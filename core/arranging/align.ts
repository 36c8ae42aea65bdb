import { bottom, box, hullOf, right, type Box } from "../geometry";
import type { Boxes } from "./place";

export type Side = "left" | "centre" | "right" | "top" | "middle" | "bottom";

/** The boxes with one line of each on the same line of `within`: the hull of all, a margin, a frame. */
export function aligned(
  boxes: Boxes,
  side: Side,
  within: Box = hullOf([...boxes.values()]),
): Boxes {
  return mapped(boxes, (b) => {
    switch (side) {
      case "left":
        return { ...b, x: within.x };
      case "centre":
        return { ...b, x: within.x + (within.width - b.width) / 2 };
      case "right":
        return { ...b, x: right(within) - b.width };
      case "top":
        return { ...b, y: within.y };
      case "middle":
        return { ...b, y: within.y + (within.height - b.height) / 2 };
      case "bottom":
        return { ...b, y: bottom(within) - b.height };
    }
  });
}

/** The boxes with equal gaps between them; the first and the last stay where they are. */
export function distributed(boxes: Boxes, axis: "x" | "y"): Boxes {
  const length = axis === "x" ? "width" : "height";
  const inOrder = [...boxes].sort(
    ([, a], [, b]) => a[axis] + a[length] / 2 - b[axis] - b[length] / 2,
  );
  if (inOrder.length < 3) return boxes;
  const [first, last] = [inOrder[0]![1], inOrder.at(-1)![1]];
  const taken = inOrder.reduce((sum, [, b]) => sum + b[length], 0);
  const gap = (last[axis] + last[length] - first[axis] - taken) / (inOrder.length - 1);
  let at = first[axis];
  return new Map(
    inOrder.map(([id, b]) => {
      const placed = { ...b, [axis]: at };
      at += b[length] + gap;
      return [id, placed];
    }),
  );
}

/** All as wide or as high as the largest of them, about their own middles. */
export function equalled(boxes: Boxes, length: "width" | "height"): Boxes {
  const most = Math.max(...[...boxes.values()].map((b) => b[length]));
  const axis = length === "width" ? "x" : "y";
  return mapped(boxes, (b) => ({ ...b, [axis]: b[axis] + (b[length] - most) / 2, [length]: most }));
}

/** Boxes that keep their places in a hull that becomes another. */
export function fittedInto(boxes: Boxes, from: Box, to: Box): Boxes {
  const [sx, sy] = [to.width / from.width, to.height / from.height];
  return mapped(boxes, (b) =>
    box(to.x + (b.x - from.x) * sx, to.y + (b.y - from.y) * sy, b.width * sx, b.height * sy),
  );
}

export const movedBy = (boxes: Boxes, x: number, y: number): Boxes =>
  mapped(boxes, (b) => ({ ...b, x: b.x + x, y: b.y + y }));

const mapped = (boxes: Boxes, to: (b: Box) => Box): Boxes =>
  new Map([...boxes].map(([id, b]) => [id, to(b)]));
