import { and, asc, desc, eq, sql } from "drizzle-orm";
import { applyEdit, invertEdit, joinEdits, type Edit, type Piece } from "../../core/piece";
import { Problem } from "../../core/problem";
import type { Transaction } from "../store/database";
import { edits } from "../store/tables";

/** Typing within this time, in milliseconds, is one step of undo. */
const JOIN_WITHIN = 2000;

export type Reader = Pick<Transaction, "select">;

/** The steps of pieces, back and forth. `now` is in milliseconds. */
export class History {
  constructor(private readonly now: () => number) {}

  /** A new step; what was undone before it is gone. What is typed in one go joins the step before it. */
  async remember(
    tx: Transaction,
    { id: piece, shown: shownBefore }: Piece,
    { shown: shownAfter }: Piece,
    edit: Edit,
    mayJoin: boolean,
  ): Promise<void> {
    await tx.delete(edits).where(and(eq(edits.piece, piece), eq(edits.undone, true)));
    const [last] = await tx
      .select()
      .from(edits)
      .where(eq(edits.piece, piece))
      .orderBy(desc(edits.id))
      .limit(1);
    const at = this.now();
    const joined =
      mayJoin && last && at - last.at < JOIN_WITHIN ? joinEdits(last.edit, edit) : undefined;
    if (joined) {
      await tx.update(edits).set({ edit: joined, at, shownAfter }).where(eq(edits.id, last!.id));
    } else await tx.insert(edits).values({ piece, edit, at, shownBefore, shownAfter });
  }

  /**
   * The piece one step back or forward; undefined at the end of its history. A step to what is no longer there, such as a
   * deleted brand, is passed over: `fits` throws a problem for it.
   */
  async step(
    tx: Transaction,
    piece: Piece,
    forward: boolean,
    fits: (stepped: Piece) => Promise<void>,
  ): Promise<{ piece?: Piece; passedOver: string[] }> {
    const passedOver: string[] = [];
    for (;;) {
      const [entry] = await tx
        .select()
        .from(edits)
        .where(and(eq(edits.piece, piece.id), eq(edits.undone, forward)))
        .orderBy(forward ? asc(edits.id) : desc(edits.id))
        .limit(1);
      if (!entry) return { passedOver };
      await tx.update(edits).set({ undone: !forward }).where(eq(edits.id, entry.id));
      const change = forward ? entry.edit : invertEdit(entry.edit);
      const shown = (forward ? entry.shownAfter : entry.shownBefore) ?? undefined;
      try {
        const stepped = { ...applyEdit(piece, change), shown };
        await fits(stepped);
        return { piece: stepped, passedOver };
      } catch (error) {
        if (!(error instanceof Problem)) throw error;
        passedOver.push(error.message);
      }
    }
  }
}

/** How many steps a piece can go back, and forward again. */
export async function stepsOf(
  reader: Reader,
  piece: string,
): Promise<{ done: number; undone: number }> {
  const [counts] = await reader
    .select({
      done: sql<number>`coalesce(sum(case when ${edits.undone} then 0 else 1 end), 0)`,
      undone: sql<number>`coalesce(sum(case when ${edits.undone} then 1 else 0 end), 0)`,
    })
    .from(edits)
    .where(eq(edits.piece, piece));
  return { done: counts?.done ?? 0, undone: counts?.undone ?? 0 };
}
