import { eq } from "drizzle-orm";
import type { CrateAnswer, PieceAnswer, PieceFiling } from "../../core/api";
import { crates, pieces } from "../store/tables";
import { mustHave, mustHaveCrate, type Pieces } from "./pieces";
import type { ServerContext } from "../context";

/** Crates renamed, and pieces put aside, brought back and moved. */
export class Filing {
  constructor(
    private readonly context: ServerContext,
    private readonly pieces: Pieces,
  ) {}

  async rename(id: string, name: string): Promise<CrateAnswer> {
    await this.pieces.crate(id);
    await this.context.store.write((tx) =>
      tx.update(crates).set({ name }).where(eq(crates.id, id)),
    );
    return this.pieces.crate(id);
  }

  /** A piece that comes into another brand's crate takes that brand on. */
  async keep(id: string, { archived, crate }: PieceFiling): Promise<PieceAnswer> {
    await this.context.store.write(async (tx) => {
      const row = await mustHave(tx, id);
      if (archived !== undefined)
        await tx.update(pieces).set({ archived }).where(eq(pieces.id, id));
      if (crate === undefined || crate === row.crate) return;
      const into = await mustHaveCrate(tx, crate);
      const siblings = await tx.select().from(pieces).where(eq(pieces.crate, crate));
      const taken = siblings.map(({ document }) => document.title);
      const position = Math.max(-1, ...siblings.map((one) => one.position)) + 1;
      await this.pieces.fitInto(tx, row, into.brand, taken);
      await tx.update(pieces).set({ crate, position }).where(eq(pieces.id, id));
    });
    const answer = await this.pieces.get(id);
    this.pieces.events.announce(id, answer.revision);
    return answer;
  }
}
