import { and, asc, desc, eq, inArray, type SQL } from "drizzle-orm";
import {
  applied,
  conflictsIn,
  invertEdit,
  isMade,
  isVoid,
  joinEdits,
  rebased,
  valueAt,
  type Change,
  type Edit,
} from "../../core/edit";
import type { HistoryStep } from "../../core/api";
import { nameOf } from "../../core/wording/edits";
import { inItsLanguage } from "../../core/language";
import type { Piece } from "../../core/piece";
import { Problem, problem } from "../../core/problem";
import type { Transaction } from "../store/database";
import { edits, pieces } from "../store/tables";
import type { Placements } from "./placements";
import { mustHaveNamed } from "./references";

export type Reader = Pick<Transaction, "select">;
export type PieceRow = typeof pieces.$inferSelect;

/** Who made an edit; those of nobody in particular, as the program's own, anybody may take back. */
export type Author = string;
export const NOBODY: Author = "";

export interface EditOptions {
  author?: Author;
  /** Over what another window has written; that stays a step of its own. */
  force?: boolean;
  /** How the sizes are laid out where it was made; no step of its own. */
  shown?: Piece["shown"];
}

type Entry = typeof edits.$inferSelect;

/** The one gate that every change of a piece goes through, with its history back and forth. */
export class Edits {
  constructor(
    private readonly placements: Placements,
    private readonly now: () => number,
  ) {}

  /**
   * Makes an edit and remembers it; what of one gesture came before becomes one step with it. Throws `edit-conflict` when
   * what it replaces is not what its window saw, unless `force`, and what `applied` and the references throw.
   */
  async make(
    tx: Transaction,
    row: PieceRow,
    edit: Edit,
    { author = NOBODY, force = false, shown }: EditOptions = {},
  ): Promise<PieceRow> {
    if (isMade(row.document, edit)) return row;
    const [conflict] = force ? [] : conflictsIn(row.document, edit);
    if (conflict) throw conflicting(row.document, conflict);
    const current = rebased(row.document, edit);
    const made = applied(row.document, current);
    const after = shown ? { ...made, shown } : made;
    const saved = await this.save(tx, row, after);
    await this.remember(tx, row.document, after, current, author, !force);
    return saved;
  }

  /**
   * The author's last step taken back, or the next made again; at the end nothing happens. A step to what is no longer
   * there, or that another has changed since, is passed over; `note` says so.
   */
  async step(
    tx: Transaction,
    row: PieceRow,
    forward: boolean,
    author: Author,
  ): Promise<string | undefined> {
    let why: string | undefined;
    for (;;) {
      const entry = await lastOf(tx, row.id, forward, author);
      if (!entry) return why && passedOver(why);
      await tx.update(edits).set({ undone: !forward }).where(eq(edits.id, entry.id));
      try {
        await this.save(tx, row, stepped(row.document, entry, forward));
        return why && passedOver(why);
      } catch (error) {
        if (!(error instanceof Problem)) throw error;
        why ??= error.message;
      }
    }
  }

  /** A new step; what the author had taken back before it is gone. */
  private async remember(
    tx: Transaction,
    { id: piece, shown: shownBefore }: Piece,
    { shown: shownAfter }: Piece,
    edit: Edit,
    author: Author,
    mayJoin: boolean,
  ): Promise<void> {
    await tx.delete(edits).where(and(ofAuthor(piece, author), eq(edits.undone, true)));
    const [last] = await tx
      .select()
      .from(edits)
      .where(eq(edits.piece, piece))
      .orderBy(desc(edits.id))
      .limit(1);
    const at = this.now();
    const joined =
      mayJoin && last?.author === author && !last.undone ? joinEdits(last.edit, edit) : undefined;
    // What was typed and deleted again is no step.
    if (joined && isVoid(joined)) await tx.delete(edits).where(eq(edits.id, last!.id));
    else if (joined)
      await tx.update(edits).set({ edit: joined, at, shownAfter }).where(eq(edits.id, last!.id));
    else await tx.insert(edits).values({ piece, edit, author, at, shownBefore, shownAfter });
  }

  /** What a piece names has to be there, on every way in. */
  private async save(tx: Transaction, row: PieceRow, after: Piece): Promise<PieceRow> {
    await mustHaveNamed(tx, this.placements, after, row.document);
    const document = inItsLanguage(row.document, after);
    const revision = row.revision + 1;
    await tx.update(pieces).set({ document, revision }).where(eq(pieces.id, row.id));
    return { ...row, document, revision };
  }
}

/** What the author may take back, and make again, by name. */
export async function stepsOf(
  reader: Reader,
  piece: string,
  author: Author,
): Promise<{ undo?: string; redo?: string }> {
  const [back, forth] = await Promise.all([
    lastOf(reader, piece, false, author),
    lastOf(reader, piece, true, author),
  ]);
  return {
    ...(back ? { undo: nameOf(back.edit) } : {}),
    ...(forth ? { redo: nameOf(forth.edit) } : {}),
  };
}

/** No list is longer. */
const MOST_STEPS = 200;

/** The author's steps, the newest first; those that were taken back are the newest. */
export async function historyOf(
  reader: Reader,
  piece: string,
  author: Author,
): Promise<HistoryStep[]> {
  const rows = await reader
    .select()
    .from(edits)
    .where(ofAuthor(piece, author))
    .orderBy(desc(edits.id))
    .limit(MOST_STEPS);
  return rows.map(({ edit, at, undone }) => ({
    name: nameOf(edit),
    at: new Date(at).toISOString(),
    undone,
  }));
}

const ofAuthor = (piece: string, author: Author): SQL | undefined =>
  and(eq(edits.piece, piece), inArray(edits.author, [author, NOBODY]));

async function lastOf(
  reader: Reader,
  piece: string,
  undone: boolean,
  author: Author,
): Promise<Entry | undefined> {
  const [entry] = await reader
    .select()
    .from(edits)
    .where(and(ofAuthor(piece, author), eq(edits.undone, undone)))
    .orderBy(undone ? asc(edits.id) : desc(edits.id))
    .limit(1);
  return entry;
}

function stepped(piece: Piece, { edit, shownBefore, shownAfter }: Entry, forward: boolean): Piece {
  const change = forward ? edit : invertEdit(edit);
  if (conflictsIn(piece, change).length > 0)
    throw problem("step-overtaken", { what: nameOf(edit) });
  return { ...applied(piece, change), shown: (forward ? shownAfter : shownBefore) ?? undefined };
}

const passedOver = (why: string): string =>
  `A step that cannot be made any more was passed over. ${why}`;

function conflicting(piece: Piece, { at }: Change): Problem {
  const what = at[0] === "message" ? `The ${at[1]}` : at[0] === "title" ? "The name" : "This";
  const now = valueAt(piece, at);
  return problem("edit-conflict", {
    what,
    theirs: typeof now === "string" ? now : "something else",
  });
}
