import { composedFrame, type Node, type NodeBox, type Piece } from "../piece";
import { RULING_SLOTS } from "../message";
import type { z } from "zod";

type Box = z.infer<typeof NodeBox>;

/** What words that are added to an arrangement take from it; lead pixels. */
export interface Measure {
  textSize: number;
  rulingSize: number;
  /** A nominal box for the n-th of them, below the frame, where it is in nothing's way. */
  below(index: number): Box;
}

/** Of a lead that says nothing of its text: shares of the frame's mean side. Common practice. */
const TEXT = 0.03;
const RULING = 0.14;
const RUNNING: ReadonlySet<string> = new Set(["support", "body", "byline"]);

export function measureOf(piece: Piece): Measure {
  const frame = composedFrame(piece) ?? { width: 1080, height: 1080 };
  const extent = Math.sqrt(frame.width * frame.height);
  const sizes = (isOf: (node: Node) => boolean): number[] =>
    piece.arrangement.flatMap((node) =>
      node.kind === "text" && node.style.size && isOf(node) ? [node.style.size] : [],
    );
  const running = sizes(({ role }) => RUNNING.has(role));
  const ruling = sizes(({ role }) => RULING_SLOTS.includes(role));
  return {
    textSize: running[0] ?? TEXT * extent,
    rulingSize: ruling.length > 0 ? Math.max(...ruling) : RULING * extent,
    below: (index) => ({
      x: 0,
      y: frame.height + (index + 1) * extent,
      width: 0.5 * extent,
      height: 0.1 * extent,
    }),
  };
}
