import { asc, eq } from "drizzle-orm";
import type { PlacementImport, PlacementUse } from "../../core/api";
import { freeId } from "../../core/id";
import type { Piece } from "../../core/piece";
import {
  isShipped,
  known,
  lookupIn,
  refuseUnpaintable,
  withTeam,
  type Catalogue,
  type Placement,
  type PlacementLookup,
} from "../../core/placements";
import { problem } from "../../core/problem";
import { same } from "../../core/same";
import type { Transaction } from "../store/database";
import { crates, pieces, placements } from "../store/tables";
import type { ServerContext } from "../context";

type Reader = Pick<Transaction, "select">;

/** The team's placement catalogue: the shipped one with what the team has corrected, retired and added. */
export class Placements {
  constructor(private readonly context: ServerContext) {}

  async catalogue(reader: Reader = this.context.store.read): Promise<Catalogue> {
    const rows = await reader.select().from(placements).orderBy(asc(placements.created));
    return withTeam(rows.map((row) => row.document));
  }

  async lookup(reader?: Reader): Promise<PlacementLookup> {
    return lookupIn(await this.catalogue(reader));
  }

  /** As they were when something was begun, so that all that is made of it is of one kind; as they are where that was not kept. */
  async asOf(kept: readonly Placement[] | null): Promise<PlacementLookup> {
    return kept ? (id) => kept.find((place) => place.id === id) : this.lookup();
  }

  /** A new placement, under an id made of its name. */
  async add(wanted: Omit<Placement, "id">): Promise<Placement> {
    return this.context.store.write(async (tx) => {
      const taken = new Set((await this.catalogue(tx)).placements.map(({ id }) => id));
      const placement = { ...wanted, id: freeId(wanted.name.toLowerCase(), taken, "placement") };
      await this.put(tx, placement);
      return placement;
    });
  }

  /** Corrects, renames, retires or brings back one that is there. Its id stays. */
  async change(id: string, wanted: Omit<Placement, "id">): Promise<Placement> {
    return this.context.store.write(async (tx) => {
      known(id, await this.lookup(tx));
      const placement = { ...wanted, id };
      await this.put(tx, placement);
      return placement;
    });
  }

  /** Gives a shipped placement its shipped facts back; an added one goes, if no piece has it. */
  async remove(id: string): Promise<Catalogue> {
    return this.context.store.write(async (tx) => {
      const { name } = known(id, await this.lookup(tx));
      const [user] = isShipped(id) ? [] : await this.usersOf(tx, id);
      if (user) throw problem("placement-in-use", { name, piece: user.title });
      await tx.delete(placements).where(eq(placements.id, id));
      return this.catalogue(tx);
    });
  }

  /** Takes placements in: those of a known id are corrected, the others are added. All or none. */
  async take(wanted: readonly Placement[]): Promise<PlacementImport> {
    return this.context.store.write(async (tx) => {
      const before = await this.lookup(tx);
      const result: PlacementImport = { added: [], changed: [], same: [] };
      for (const placement of wanted) {
        const old = before(placement.id);
        const list = old ? (same(old, placement) ? "same" : "changed") : "added";
        result[list].push(placement.id);
        if (list !== "same") await this.put(tx, placement);
      }
      return result;
    });
  }

  /** The pieces that go to a placement. */
  async users(id: string): Promise<PlacementUse[]> {
    known(id, await this.lookup());
    return this.usersOf(this.context.store.read, id);
  }

  private async usersOf(reader: Reader, id: string): Promise<PlacementUse[]> {
    const rows = await reader
      .select({ document: pieces.document, crate: crates.name })
      .from(pieces)
      .innerJoin(crates, eq(crates.id, pieces.crate))
      .orderBy(asc(crates.created), asc(pieces.position));
    return rows
      .filter(({ document }) => goesTo(document, id))
      .map(({ document, crate }) => ({ id: document.id, title: document.title, crate }));
  }

  private async put(tx: Transaction, placement: Placement): Promise<void> {
    refuseUnpaintable(placement);
    const created = this.context.now().toISOString();
    await tx
      .insert(placements)
      .values({ id: placement.id, document: placement, created })
      .onConflictDoUpdate({ target: placements.id, set: { document: placement } });
  }
}

/** A size of its own that happens to have the same name is another place. */
const goesTo = (piece: Piece, id: string): boolean =>
  piece.sizes.some((size) => size.placement === id && !size.own);
