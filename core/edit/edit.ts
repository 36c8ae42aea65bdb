import { z } from "zod";
import { Problem, problem } from "../problem";
import { Piece } from "../piece";
import { same } from "../same";
import { Address, addressKey } from "./address";
import { valueAt, withValueAt } from "./place";

/** One thing of a piece put otherwise; null stands for nothing. `was` is what the window saw that made it. */
export const Change = z.object({ at: Address, to: z.json(), was: z.json() });
export type Change = z.infer<typeof Change>;

/** What an edit was for, where its changes alone do not say it. */
export const EditName = z.enum(["arrangement", "brand", "lead", "mend", "give-back", "set"]);
export type EditName = z.infer<typeof EditName>;

/** A step of a piece's history: changes that are made and taken back together. */
export const Edit = z.object({
  changes: z.array(Change).min(1).max(5000),
  /** What is done in one go, such as typing or a drag, has one gesture and is one step. */
  gesture: z.string().min(1).max(80).optional(),
  name: EditName.optional(),
});
export type Edit = z.infer<typeof Edit>;

/** The piece after the edit. Throws `edit-impossible` when it names what is not there, or leaves what is no piece. */
export function applyEdit(piece: Piece, { changes }: Edit): Piece {
  const after = changes.reduce((before, { at, to }) => withValueAt(before, at, to), piece);
  if (!after.sizes.some(({ placement }) => placement === after.lead) && after.sizes !== piece.sizes)
    throw impossible("The lead size cannot be taken out of its piece.");
  return after;
}

/** As `applyEdit`, for what comes from elsewhere: it has to be a piece in every part. */
export function applied(piece: Piece, edit: Edit): Piece {
  const after = Piece.safeParse(applyEdit(piece, edit));
  if (after.success) return after.data;
  const [issue] = after.error.issues;
  throw impossible(`${issue!.path.join(".")}: ${issue!.message}.`);
}

/** As much of an edit as another piece has a place for: what names what is not there is left out. */
export function appliedWherePossible(piece: Piece, { changes }: Edit): Piece {
  let after = piece;
  for (const change of changes)
    try {
      after = applied(after, { changes: [change] });
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
    }
  return after;
}

const impossible = (why: string) => problem("edit-impossible", { why });

export const invertEdit = ({ changes, ...about }: Edit): Edit => ({
  ...about,
  changes: changes.toReversed().map(({ at, to, was }) => ({ at, to: was, was: to })),
});

/** Changes of what is now neither what they say that it was nor what they make of it; an order is no such thing. */
export function conflictsIn(piece: Piece, { changes }: Edit): Change[] {
  const conflicts: Change[] = [];
  let now = piece;
  for (const change of changes) {
    const { at, to, was } = change;
    const value = valueAt(now, at);
    if (at.at(-1) !== "after" && !alike(value, was, at) && !alike(value, to, at))
      conflicts.push(change);
    now = withValueAt(now, at, to);
  }
  return conflicts;
}

/** Whether the piece is so already, as after an edit that is sent again because no answer came. */
export const isMade = (piece: Piece, edit: Edit): boolean =>
  edit.changes.every(({ at, to }) => {
    try {
      return alike(valueAt(piece, at), to, at);
    } catch {
      return false;
    }
  });

const alike = (value: unknown, other: unknown, at: Address): boolean =>
  same(bare(value, at), bare(other, at));

/** One of a row without its place in it. */
const bare = (value: unknown, at: Address): unknown =>
  at.length === 2 && value !== null ? (value as { value: unknown }).value : value;

/** The edit with what its changes replace now, whatever its window saw. */
export function rebased(piece: Piece, edit: Edit): Edit {
  let now = piece;
  const changes = edit.changes.map(({ at, to }) => {
    const was = valueAt(now, at) as Change["was"];
    now = withValueAt(now, at, to);
    return { at, to, was };
  });
  return { ...edit, changes };
}

/** Whether it leaves everything as it was, as words that were typed and deleted again. */
export const isVoid = ({ changes }: Edit): boolean => changes.every(({ to, was }) => same(to, was));

/** What belongs to one gesture is one step: a further change of the same thing takes the place of the one before. */
export function joinEdits(before: Edit, after: Edit): Edit | undefined {
  if (before.gesture === undefined || before.gesture !== after.gesture) return undefined;
  const changes = after.changes.reduce(joined, before.changes);
  return { ...after, changes };
}

function joined(changes: Change[], change: Change): Change[] {
  const index = changes.findLastIndex(({ at }) => addressKey(at) === addressKey(change.at));
  // What came between must not be about the same slot, node or size, or its order would count.
  const between = changes.slice(index + 1);
  const apart = between.every(({ at }) => at[0] !== change.at[0] || at[1] !== change.at[1]);
  if (index < 0 || !apart) return [...changes, change];
  return changes.with(index, { ...change, was: changes[index]!.was });
}
