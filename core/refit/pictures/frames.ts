import type { Piece } from "../../piece";
import type { PictureNode, ResolvedPiece } from "../../resolve";
import { inFrame } from "./media";
import { holdsSubject, missed } from "./subjects";

/** What it costs that a picture's subject is cut, and that a picture leaves its frame, the first more. By eye. */
const CUT = 1;
const MOVED = 0.06;
const FIRST_MOVED = 0.3;
/** More frames than this have too many orders to try all. */
const MOST = 5;

/**
 * The piece with its pictures in the frames that suit their shapes and subjects: a portrait in an upright one, a group in a
 * wide one. They stay in their order where nothing is won, since the first counts most and a pair may be before and after.
 */
export function inSuitedFrames({ piece, nodes }: ResolvedPiece): Piece {
  const frames = nodes.filter(
    (node): node is PictureNode => node.type === "picture" && node.slot !== undefined,
  );
  if (frames.length < 2 || frames.length > MOST) return piece;
  const costs = frames.map((frame) => frames.map((picture) => costIn(frame, picture)));
  const costOf = (order: readonly number[]): number =>
    order.reduce(
      (sum, picture, at) =>
        sum + costs[at]![picture]! + (picture === at ? 0 : at === 0 ? FIRST_MOVED : MOVED),
      0,
    );
  const best = orders(frames.length).reduce((a, b) => (costOf(b) < costOf(a) ? b : a));
  if (best.every((picture, at) => picture === at)) return piece;
  const message = { ...piece.message };
  best.forEach((picture, at) => {
    message[frames[at]!.slot!] = piece.message[frames[picture]!.slot!]!;
  });
  return { ...piece, message };
}

/** How badly a picture stands in a frame of the lead size. */
function costIn(frame: PictureNode, { file, subject }: PictureNode): number {
  const shown = inFrame({ ...frame, file, subject }, frame.box, frame.box);
  return missed(shown) + (holdsSubject(shown) ? 0 : CUT);
}

/** All orders of so many things, the order that they have first. */
const orders = (count: number): number[][] =>
  count === 0
    ? [[]]
    : orders(count - 1).flatMap((order) =>
        Array.from({ length: count }, (_, at) => [
          ...order.slice(0, count - 1 - at),
          count - 1,
          ...order.slice(count - 1 - at),
        ]),
      );
