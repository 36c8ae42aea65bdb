import { and, asc, eq, inArray, isNull, max, sql } from "drizzle-orm";
import type {
  CrateAnswer,
  ListedCrate,
  ListedPiece,
  RebrandAnswer,
  HistoryAnswer,
  PieceAnswer,
} from "../../core/api";
import { variationName } from "../../core/batch";
import type { Brand } from "../../core/brand";
import { editTo, type Edit, type EditName } from "../../core/edit";
import { rebrand } from "../../core/kit";
import { copyPiece, freeTitle, piecePictureIds, type Piece } from "../../core/piece";
import { problem } from "../../core/problem";
import type { Transaction } from "../store/database";
import { batches, brands, crates, edits, pieces, variationPieces } from "../store/tables";
import { ChangeEvents } from "./events";
import {
  Edits,
  historyOf,
  NOBODY,
  stepsOf,
  type Author,
  type EditOptions,
  type PieceRow,
  type Reader,
} from "./edits";
import type { Placements } from "./placements";
import { mustHaveBrand, mustHaveNamed } from "./references";
import type { ServerContext } from "../context";

/** Crates and their pieces, and every change of a piece with its undo and redo. */
export class Pieces {
  /** Tells every open window of a piece its newest revision. */
  readonly events = new ChangeEvents<number>();
  private readonly edits: Edits;

  constructor(
    private readonly context: ServerContext,
    private readonly placements: Placements,
  ) {
    this.edits = new Edits(placements, () => context.now().getTime());
  }

  /** All crates, the oldest first, with their pieces as lists have them. */
  async crates(): Promise<ListedCrate[]> {
    const { read } = this.context.store;
    const [rows, found, worked] = await Promise.all([
      read.select().from(crates).where(isNull(crates.deleted)).orderBy(asc(crates.created)),
      read.select().from(pieces).where(isNull(pieces.deleted)).orderBy(asc(pieces.position)),
      read
        .select({ piece: edits.piece, at: max(edits.at) })
        .from(edits)
        .groupBy(edits.piece),
    ]);
    const changed = new Map(worked.map(({ piece, at }) => [piece, at]));
    return rows.map((row) => {
      const own = found.filter(({ crate }) => crate === row.id);
      const listed = (archived: boolean) =>
        own
          .filter((piece) => piece.archived === archived)
          .map((piece) => listedPiece(piece, changed.get(piece.id)));
      return { ...crateOf(row), pieces: listed(false), archived: listed(true) };
    });
  }

  async crate(id: string): Promise<CrateAnswer> {
    return this.withPieces(await mustHaveCrate(this.context.store.read, id));
  }

  private async withPieces(row: typeof crates.$inferSelect): Promise<CrateAnswer> {
    const { read } = this.context.store;
    const found = await read
      .select()
      .from(pieces)
      .where(and(eq(pieces.crate, row.id), isNull(pieces.deleted)))
      .orderBy(asc(pieces.position));
    const documents = (archived: boolean) =>
      found.filter((piece) => piece.archived === archived).map((piece) => piece.document);
    return { ...crateOf(row), pieces: documents(false), archived: documents(true) };
  }

  async addCrate(name: string, brand: string): Promise<CrateAnswer> {
    const id = this.context.newId();
    await this.context.store.write(async (tx) => {
      await mustHaveBrand(tx, brand);
      await tx.insert(crates).values({ id, name, brand, created: this.created() });
    });
    return this.crate(id);
  }

  async get(id: string, author: Author = NOBODY): Promise<PieceAnswer> {
    return answer(this.context.store.read, id, author);
  }

  /** A new piece in a crate that starts as a copy of another; the other is not touched. */
  async copy(crateId: string, from: string, title?: string): Promise<PieceAnswer> {
    return this.addTo(crateId, async (tx, { id, brand, taken }) => {
      const { document } = await mustHave(tx, from);
      const copied = copyPiece(document, id, freeTitle(title ?? document.title, taken));
      return rebranded(tx, brand, copied);
    });
  }

  /** A new piece in a crate; `make` gives it its document, in the crate's brand. */
  async create(
    crateId: string,
    make: (id: string, brand: Brand) => Promise<Piece>,
  ): Promise<PieceAnswer> {
    const { read } = this.context.store;
    const crate = await mustHaveCrate(read, crateId);
    const [kit] = await read.select().from(brands).where(eq(brands.id, crate.brand));
    const made = await make(this.context.newId(), kit!.document);
    return this.addTo(crateId, async (tx, { brand, taken }) =>
      rebranded(tx, brand, { ...made, title: freeTitle(made.title, taken) }),
    );
  }

  private async addTo(
    crateId: string,
    make: (
      tx: Transaction,
      about: { id: string; brand: string; taken: string[] },
    ) => Promise<Piece>,
  ): Promise<PieceAnswer> {
    return this.context.store.write(async (tx) => {
      const crate = await mustHaveCrate(tx, crateId);
      const siblings = await tx.select().from(pieces).where(eq(pieces.crate, crateId));
      const taken = siblings.map((row) => row.document.title);
      const position = Math.max(-1, ...siblings.map((row) => row.position)) + 1;
      const about = { id: this.context.newId(), brand: crate.brand, taken };
      const document = await make(tx, about);
      await mustHaveNamed(tx, this.placements, document);
      const created = this.created();
      await tx
        .insert(pieces)
        .values({ id: document.id, crate: crateId, position, document, created });
      return answer(tx, document.id);
    });
  }

  /** Changes a piece. Throws what `Edits.make` does. */
  async edit(id: string, edit: Edit, options: EditOptions = {}): Promise<PieceAnswer> {
    return this.changed(id, options.author, async (tx, row) => {
      await this.edits.make(tx, row, edit, options);
    });
  }

  /** Gives a whole crate, and what comes into it later, another brand. Each piece can be undone by itself. */
  async rebrandCrate(id: string, brand: string): Promise<RebrandAnswer> {
    return this.announced(
      await this.context.store.write(async (tx) => {
        await mustHaveCrate(tx, id);
        const rows = await tx.select().from(pieces).where(eq(pieces.crate, id));
        const answer = await this.rebrand(tx, rows, brand);
        await tx.update(crates).set({ brand }).where(eq(crates.id, id));
        return answer;
      }),
    );
  }

  /** Gives every crate and piece of one brand another, as a part of what `tx` does. */
  async rebrandAll(tx: Transaction, from: string, to: string): Promise<RebrandAnswer> {
    const rows = await tx.select().from(pieces);
    const wearing = rows.filter(({ document }) => document.brand === from);
    const answer = await this.rebrand(tx, wearing, to);
    await tx.update(crates).set({ brand: to }).where(eq(crates.brand, from));
    return answer;
  }

  private async rebrand(tx: Transaction, rows: PieceRow[], brand: string): Promise<RebrandAnswer> {
    const all = await tx.select().from(brands);
    const kits = new Map(all.map(({ id, document }) => [id, document]));
    const to = kits.get(brand);
    if (!to) throw problem("not-found", { what: "brand", id: brand });
    const done: RebrandAnswer["pieces"] = [];
    for (const row of rows) {
      const { document } = row;
      if (document.brand === brand) continue;
      const { piece, notes } = rebrand(document, kits.get(document.brand) ?? to, to);
      await this.become(tx, row, piece, "brand");
      done.push({ id: document.id, title: document.title, notes });
    }
    return { pieces: done };
  }

  /**
   * Makes a piece fit into a crate, as a part of what `tx` does: it takes on the crate's brand, since brands are never
   * mixed, and a name that none there has. Each is a step that can be undone.
   */
  async fitInto(tx: Transaction, row: PieceRow, brand: string, taken: string[]): Promise<void> {
    const { document } = row;
    const own = await rebranded(tx, brand, document);
    const after = await this.become(tx, row, own, "brand");
    await this.become(tx, after, { ...own, title: freeTitle(own.title, taken) });
  }

  /** What the program makes of a piece, as a part of what `tx` does and a step that anybody may take back. */
  async become(tx: Transaction, row: PieceRow, to: Piece, name?: EditName): Promise<PieceRow> {
    const edit = editTo(row.document, to, name);
    return edit ? this.edits.make(tx, row, edit) : row;
  }

  /** Tells open windows of pieces that were rebranded. */
  async announced(answer: RebrandAnswer): Promise<RebrandAnswer> {
    await this.announce(answer.pieces);
    return answer;
  }

  /** Tells open windows of pieces that the program has changed. */
  async announce(changed: readonly { id: string }[]): Promise<void> {
    for (const { id } of changed) this.events.announce(id, (await this.get(id)).revision);
  }

  /** Brings a piece to what it has become elsewhere, in one step that anybody may take back; name and brand are its own. */
  bringTo(id: string, to: Piece): Promise<PieceAnswer> {
    return this.changed(id, NOBODY, async (tx, row) => {
      const { title, brand } = row.document;
      await this.become(tx, row, { ...to, title, brand });
    });
  }

  /** What one has done to a piece, to go back to. */
  async history(id: string, author: Author = NOBODY): Promise<HistoryAnswer> {
    const { read } = this.context.store;
    await mustHave(read, id);
    return { steps: await historyOf(read, id, author) };
  }

  undo(id: string, author: Author = NOBODY): Promise<PieceAnswer> {
    return this.step(id, false, author);
  }

  redo(id: string, author: Author = NOBODY): Promise<PieceAnswer> {
    return this.step(id, true, author);
  }

  private step(id: string, forward: boolean, author: Author): Promise<PieceAnswer> {
    return this.changed(id, author, (tx, row) => this.edits.step(tx, row, forward, author));
  }

  /** Does something with a piece, and tells other windows; what it answers is said to who asked. */
  private async changed(
    id: string,
    author: Author = NOBODY,
    change: (tx: Transaction, row: PieceRow) => Promise<string | void>,
  ): Promise<PieceAnswer> {
    const result = await this.context.store.write(async (tx) => {
      const note = await change(tx, await mustHave(tx, id));
      return { ...(await answer(tx, id, author)), ...(note ? { note } : {}) };
    });
    this.events.announce(id, result.revision);
    return result;
  }

  private created(): string {
    return this.context.now().toISOString();
  }
}

/** A piece in another brand's clothes. */
async function rebranded(reader: Reader, brand: string, piece: Piece): Promise<Piece> {
  if (piece.brand === brand) return piece;
  const found = await reader
    .select()
    .from(brands)
    .where(inArray(brands.id, [brand, piece.brand]));
  const kit = (id: string) => found.find((row) => row.id === id)?.document;
  const to = kit(brand);
  if (!to) throw problem("not-found", { what: "brand", id: brand });
  return rebrand(piece, kit(piece.brand) ?? to, to).piece;
}

export async function mustHaveCrate(reader: Reader, id: string) {
  const isThere = and(eq(crates.id, id), isNull(crates.deleted));
  const [row] = await reader.select().from(crates).where(isThere);
  if (!row) throw problem("not-found", { what: "crate", id });
  return row;
}

export async function mustHave(reader: Reader, id: string) {
  const isThere = and(eq(pieces.id, id), isNull(pieces.deleted));
  const [row] = await reader.select().from(pieces).where(isThere);
  if (!row) throw problem("not-found", { what: "piece", id });
  return row;
}

async function answer(reader: Reader, id: string, author = NOBODY): Promise<PieceAnswer> {
  const row = await mustHave(reader, id);
  const [crate] = await reader.select().from(crates).where(eq(crates.id, row.crate));
  return {
    piece: row.document,
    crate: { id: row.crate, name: crate?.name ?? "" },
    revision: row.revision,
    ...(await variationOf(reader, id)),
    ...(await stepsOf(reader, id, author)),
  };
}

/** The variation that it is, of a batch that is not in the bin. */
async function variationOf(reader: Reader, id: string): Promise<Pick<PieceAnswer, "variation">> {
  const [row] = await reader
    .select({
      batch: batches.id,
      index: variationPieces.variation,
      total: sql<number>`json_array_length(${batches.variations})`,
    })
    .from(variationPieces)
    .innerJoin(batches, eq(batches.id, variationPieces.batch))
    .where(and(eq(variationPieces.piece, id), isNull(batches.deleted)));
  if (!row) return {};
  return { variation: { batch: row.batch, name: variationName(row.index, row.total) } };
}

const crateOf = ({ id, name, brand }: typeof crates.$inferSelect) =>
  ({ format: "zestcrate/crate", version: 1, id, name, brand }) as const;

/** `at` is when it was last edited, in milliseconds; it began when it was made. */
function listedPiece(
  { document, revision, created }: PieceRow,
  at: number | null | undefined,
): ListedPiece {
  const { sizes, siblings, message: _message, slides: _slides, ...piece } = document;
  return {
    ...piece,
    ...(siblings ? { set: siblings.set } : {}),
    sizes,
    pictures: piecePictureIds(document),
    revision,
    changed: at ? new Date(at).toISOString() : created,
  };
}
