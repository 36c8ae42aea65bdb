import { and, eq, inArray, isNotNull, isNull, lt, or, sql } from "drizzle-orm";
import type { SQLiteColumn } from "drizzle-orm/sqlite-core";
import type { Binned, BinKind } from "../../core/api";
import { problem } from "../../core/problem";
import type { Transaction } from "../store/database";
import { batches, crates, deliveries, files, pieces, putAway } from "../store/tables";
import { batchName } from "./batch-runner";
import { deliveryName } from "./deliveries";
import { takeBack } from "./put-away";
import type { ServerContext } from "../context";

/** What was deleted can be brought back for so long, in milliseconds. */
const KEPT = 30 * 24 * 60 * 60 * 1000;

const TABLES = {
  piece: pieces,
  crate: crates,
  picture: files,
  batch: batches,
  delivery: deliveries,
} satisfies Partial<Record<BinKind, unknown>>;
/** What stays in its table, marked; kits and templates leave theirs. */
export type MarkedKind = keyof typeof TABLES;

/** Where the ids of stored files may stand, and what that is called. */
const USES: [what: string, table: string, columns: string[]][] = [
  ["a piece", "pieces", ["document"]],
  ["the history of a piece", "edits", ["edit"]],
  ["a brand kit, or what it was before", "brands", ["document"]],
  ["a brand kit, or what it was before", "brand_versions", ["document"]],
  ["a template", "templates", ["document"]],
  ["a batch", "batches", ["document", "variations", "brand"]],
  ["a variation that was opened", "variation_pieces", ["base"]],
  ["a delivery", "deliveries", ["document", "brand"]],
  ["a brand kit or template in the bin", "put_away", ["kept"]],
];
/** An id is the SHA-256 of a file's content: nothing else looks like it. */
const FILE_IDS = /[0-9a-f]{64}/g;

/** Things that were deleted: out of sight at once, and gone for good after 30 days. */
export class Bin {
  constructor(private readonly context: ServerContext) {}

  /** Puts something in the bin. Throws `not-found`, and `picture-in-use` for one that is shown somewhere. */
  async put(kind: MarkedKind, id: string): Promise<void> {
    const { store, jobs } = this.context;
    if (kind === "batch" || kind === "delivery") await jobs.cancel(id);
    await store.write(async (tx) => {
      const table = TABLES[kind];
      const [row] = await tx
        .select()
        .from(table)
        .where(and(eq(table.id, id), isNull(table.deleted)));
      if (!row) throw problem("not-found", { what: kind, id });
      if (kind === "picture") {
        const use = (await usesOfFiles(tx)).get(id);
        const { name } = row as typeof files.$inferSelect;
        if (use !== undefined) throw problem("picture-in-use", { name, uses: use });
      }
      const deleted = this.context.now().toISOString();
      await tx.update(table).set({ deleted }).where(eq(table.id, id));
      // A crate takes its pieces along, and brings the same ones back.
      if (kind === "crate")
        await tx
          .update(pieces)
          .set({ deleted })
          .where(and(eq(pieces.crate, id), isNull(pieces.deleted)));
    });
  }

  /** Takes something out of the bin again; a piece brings its crate along. Throws `not-found`. */
  async restore(kind: BinKind, id: string): Promise<void> {
    await this.context.store.write(async (tx) => {
      if (kind === "brand" || kind === "template") return takeBack(tx, kind, id);
      const table = TABLES[kind];
      const [row] = await tx
        .select()
        .from(table)
        .where(and(eq(table.id, id), isNotNull(table.deleted)));
      if (!row) throw problem("not-found", { what: `${kind} in the bin`, id });
      await tx.update(table).set({ deleted: null }).where(eq(table.id, id));
      if (kind === "crate")
        await tx
          .update(pieces)
          .set({ deleted: null })
          .where(and(eq(pieces.crate, id), eq(pieces.deleted, row.deleted!)));
      const above = crateOver(row);
      if (above !== undefined)
        await tx.update(crates).set({ deleted: null }).where(eq(crates.id, above));
    });
  }

  /** What can be brought back, newest first; the pieces of a crate come back with it and are not listed. */
  async list(): Promise<Binned[]> {
    const { read } = this.context.store;
    const [inCrates, inPieces, inFiles, inBatches, inDeliveries, away] = await Promise.all([
      read.select().from(crates).where(isNotNull(crates.deleted)),
      read.select().from(pieces).where(isNotNull(pieces.deleted)),
      read.select().from(files).where(isNotNull(files.deleted)),
      read.select().from(batches).where(isNotNull(batches.deleted)),
      read.select().from(deliveries).where(isNotNull(deliveries.deleted)),
      read.select().from(putAway),
    ]);
    const withCrate = new Set(inCrates.map(({ id, deleted }) => `${id} ${deleted}`));
    const alone = inPieces.filter(({ crate, deleted }) => !withCrate.has(`${crate} ${deleted}`));
    const binned = (kind: BinKind, id: string, name: string, deleted: string | null): Binned => ({
      kind,
      id,
      name,
      deleted: deleted!,
      until: new Date(Date.parse(deleted!) + KEPT).toISOString(),
    });
    return [
      ...inCrates.map((row) => binned("crate", row.id, row.name, row.deleted)),
      ...alone.map((row) => binned("piece", row.id, row.document.title, row.deleted)),
      ...inFiles.map((row) => binned("picture", row.id, row.name, row.deleted)),
      ...inBatches.map((row) => binned("batch", row.id, titleOf(row), row.deleted)),
      ...inDeliveries.map((row) => binned("delivery", row.id, row.name, row.deleted)),
      ...away.map((row) => binned(row.kept.kind, row.id, row.name, row.deleted)),
    ].sort((a, b) => b.deleted.localeCompare(a.deleted));
  }

  /** Pictures that are shown nowhere, also not in what was before. */
  async unused(): Promise<{ id: string; name: string; bytes: number }[]> {
    const { read } = this.context.store;
    const rows = await read
      .select({ id: files.id, name: files.name, bytes: files.bytes })
      .from(files)
      .where(and(isNotNull(files.picture), isNull(files.deleted)));
    const uses = await usesOfFiles(read);
    return rows.filter(({ id }) => !uses.has(id));
  }

  /** Deletes for good what has been in the bin for 30 days: rows first, so that nothing tells of bytes that are gone. */
  async empty(): Promise<void> {
    const { store, made, blobs, jobs } = this.context;
    const before = new Date(this.context.now().getTime() - KEPT).toISOString();
    const gone = await store.write(async (tx) => {
      const due = (column: SQLiteColumn) => lt(column, before);
      const inPieces = await tx.select({ id: pieces.id }).from(pieces).where(due(pieces.deleted));
      const of = inPieces.map(({ id }) => id);
      const dueBatches = await tx
        .select({ id: batches.id })
        .from(batches)
        .where(or(due(batches.deleted), inArray(batches.piece, of)));
      const dueDeliveries = await tx
        .select({ id: deliveries.id })
        .from(deliveries)
        .where(or(due(deliveries.deleted), inArray(deliveries.piece, of)));
      const dueFiles = await tx.select({ id: files.id }).from(files).where(due(files.deleted));
      for (const { id } of [...dueBatches, ...dueDeliveries]) await jobs.remove(tx, id);
      for (const { id } of dueBatches) await tx.delete(batches).where(eq(batches.id, id));
      for (const { id } of dueDeliveries) await tx.delete(deliveries).where(eq(deliveries.id, id));
      await tx.delete(putAway).where(due(putAway.deleted));
      await tx.delete(pieces).where(inArray(pieces.id, of));
      await tx.delete(crates).where(and(due(crates.deleted), isEmptyCrate));
      for (const { id } of dueFiles) await tx.delete(files).where(eq(files.id, id));
      return { dueBatches, dueDeliveries, dueFiles };
    });
    for (const { id } of gone.dueBatches) await made.remove(batchName(id));
    for (const { id } of gone.dueDeliveries) await made.remove(deliveryName(id));
    for (const { id } of gone.dueFiles) await blobs.remove(id);
  }

  /** Scaled copies are made anew when they are asked for, so they need no way back. */
  async clearRenditions(): Promise<void> {
    await this.context.made.remove(["renditions"]);
  }
}

/** The crate that a piece stands in; nothing else stands in one. */
const crateOver = (row: object): string | undefined =>
  "crate" in row ? (row as { crate: string }).crate : undefined;

const isEmptyCrate = sql`NOT EXISTS (SELECT 1 FROM pieces WHERE pieces.crate = ${crates.id})`;

const titleOf = ({ document, variations }: typeof batches.$inferSelect): string =>
  `${document.title}, ${variations.length} variations`;

/** Each file that is used, with the first place where it is; every document is gone through once. */
async function usesOfFiles(reader: Pick<Transaction, "all">): Promise<Map<string, string>> {
  const uses = new Map<string, string>();
  for (const [what, table, columns] of USES)
    for (const column of columns) {
      const name = sql.identifier(column);
      const rows = await reader.all<{ text: string | null }>(
        sql`SELECT ${name} AS text FROM ${sql.identifier(table)}`,
      );
      for (const { text } of rows)
        for (const [id] of text?.matchAll(FILE_IDS) ?? []) if (!uses.has(id)) uses.set(id, what);
    }
  return uses;
}
