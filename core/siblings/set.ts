import { groups } from "d3-array";
import { isText, type Filling, type Piece, type Siblings } from "../piece";
import { problem } from "../problem";
import { same } from "../same";
import { isStrip } from "../strip";
import { arrangedAs, designOf } from "../templates";
import { classesOf, classOf, type Alike } from "./classes";

/** Pieces laid out as a set: in the arrangement of one of them, each with those that it stands with. In their order. */
export function asSet(set: string, like: Piece, pieces: readonly Piece[]): Piece[] {
  const arranged = pieces.map((piece) => (piece === like ? piece : arrangedLike(piece, like)));
  const siblings = siblingsOf(set, arranged);
  return arranged.map((piece, at) => ({ ...piece, siblings: siblings[at]! }));
}

/**
 * Those of chosen pieces that can be a set: no carousels, whose slides are a set of their own. Throws `carousel-leads-set` and
 * `set-too-small`.
 */
export function membersOf(like: Piece, chosen: readonly Piece[]): Piece[] {
  if (isStrip(like)) throw problem("carousel-leads-set");
  const members = chosen.filter((piece) => !isStrip(piece));
  if (members.length < 2) throw problem("set-too-small");
  return members;
}

/** In the arrangement of another, with nothing that it does not have. */
function arrangedLike(piece: Piece, like: Piece): Piece {
  const drawn = new Set(like.arrangement.map(({ id }) => id));
  const arranged = arrangedAs(piece, { design: designOf(like) });
  return { ...arranged, arrangement: arranged.arrangement.filter(({ id }) => drawn.has(id)) };
}

/** Whether pieces of a set say as much as when they were laid out, so that to lay them out again would change nothing. */
export function isUpToDate(pieces: readonly Piece[]): boolean {
  const now = siblingsOf("", pieces);
  return pieces.every(({ siblings }, at) => {
    const { longest, tried } = now[at]!;
    return same([siblings?.longest, siblings?.tried], [longest, tried]);
  });
}

/**
 * Who stands with whom of pieces that are arranged alike: those that have the same slots to fill and about as many words. In the
 * order of the pieces.
 */
function siblingsOf(set: string, pieces: readonly Piece[]): Siblings[] {
  const found = new Map<Piece, Siblings>();
  for (const [, group] of groups(pieces, arrangedKey)) {
    const messages = group.map(spoken);
    const classes = classesOf(messages);
    group.forEach((piece, at) => {
      const { longest, tried } = classOf(messages[at]!, classes)!;
      found.set(piece, { set, longest, tried: tried.map(wordsAlone) });
    });
  }
  return pieces.map((piece) => found.get(piece)!);
}

/** What has the same slots filled in the same arrangement can be laid out alike. */
const arrangedKey = (piece: Piece): string =>
  JSON.stringify([Object.keys(spoken(piece)).sort(), ...drawnOf(piece)]);

/** What a piece is composed of beside its message. */
export const drawnOf = ({ lead, frame, arrangement, without, language }: Piece): unknown[] => [
  lead,
  frame,
  arrangement,
  without,
  language,
];

/** What a message says and shows, without what is kept for a batch. */
function spoken({ message }: Piece): Piece["message"] {
  return Object.fromEntries(
    Object.entries(message).flatMap(([slot, filling]): [string, Filling][] => {
      if (!isText(filling)) return [[slot, filling]];
      return filling.text.trim() === "" ? [] : [[slot, { text: filling.text }]];
    }),
  );
}

const wordsAlone = ({ message, count }: Alike["tried"][number]): Alike["tried"][number] => ({
  message: Object.fromEntries(Object.entries(message).filter(([, filling]) => isText(filling))),
  count,
});
