import { and, asc, eq, isNull } from "drizzle-orm";
import type { SetAnswer, SetRequest, SetState } from "../../core/api";
import type { Piece } from "../../core/piece";
import { problem } from "../../core/problem";
import { asSet, isUpToDate, membersOf } from "../../core/siblings";
import type { ServerContext } from "../context";

import type { Reader } from "../services/edits";
import { pieces as table } from "../store/tables";
import { mustHave, mustHaveCrate, type Pieces } from "./pieces";

/** Pieces of a crate that are laid out as a set. */
export class Sets {
  constructor(
    private readonly context: ServerContext,
    private readonly pieces: Pieces,
  ) {}

  /**
   * Lays pieces out alike, in the arrangement of one of them; each can be undone by itself. Throws `not-found` for what is not
   * in the crate, `carousel-leads-set`, and `set-too-small`.
   */
  async lay(crate: string, { like, pieces: wanted }: SetRequest): Promise<SetAnswer> {
    const answer = await this.context.store.write(async (tx) => {
      await mustHaveCrate(tx, crate);
      const rows = new Map((await rowsIn(tx, crate)).map((row) => [row.document.id, row]));
      const ids = new Set([like, ...wanted]);
      const unknown = [...ids].find((id) => !rows.has(id));
      if (unknown !== undefined)
        throw problem("not-found", { what: "piece in this crate", id: unknown });
      const chosen = [...rows.values()].flatMap(({ document }) =>
        ids.has(document.id) ? [document] : [],
      );
      const model = rows.get(like)!.document;
      const members = membersOf(model, chosen);
      const set = asSet(this.context.newId(), model, members);
      for (const piece of set) await this.pieces.become(tx, rows.get(piece.id)!, piece, "set");
      const left = chosen.filter((piece) => !members.includes(piece));
      return { pieces: set.map(named), left: left.map(named) };
    });
    await this.pieces.announce(answer.pieces);
    return answer;
  }

  /** The set that a piece is in. */
  async of(id: string): Promise<SetState> {
    const { read } = this.context.store;
    const { document, crate } = await mustHave(read, id);
    const { siblings } = document;
    if (!siblings) return { pieces: [], upToDate: true };
    const rows = await rowsIn(read, crate);
    const members = rows
      .map((row) => row.document)
      .filter((one) => one.siblings?.set === siblings.set);
    return { pieces: members.map(named), upToDate: isUpToDate(members) };
  }
}

const named = ({ id, title }: Piece) => ({ id, title });

/** The pieces on a crate's shelf, in its order. */
const rowsIn = (reader: Reader, crate: string) =>
  reader
    .select()
    .from(table)
    .where(and(eq(table.crate, crate), isNull(table.deleted), eq(table.archived, false)))
    .orderBy(asc(table.position));
