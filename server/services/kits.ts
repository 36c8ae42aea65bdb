import { and, asc, desc, eq, getTableColumns, inArray, isNull, max, ne } from "drizzle-orm";
import type { BrandVersion, RebrandAnswer, OutdatedList, SpreadPinning } from "../../core/api";
import { Brand, brandFiles } from "../../core/brand";
import { sameSpread } from "../../core/colour";
import { compareBrands, makeBrand, outdated, type NewBrand } from "../../core/kit";
import { placementOf } from "../../core/piece";
import { problem } from "../../core/problem";
import type { Transaction } from "../store/database";
import { batches, brands, brandVersions, crates, deliveries, jobs, pieces } from "../store/tables";
import type { Library } from "./library";
import { lockOf, opens } from "./lock";
import type { Pieces } from "./pieces";
import type { Placements } from "./placements";
import { mustHaveFiles } from "./references";
import { putAwayKit } from "./put-away";
import type { ServerContext } from "../context";

/** Brand kits: making, changing, locking and deleting them, and what a change puts out of date. */
export class Kits {
  constructor(
    private readonly context: ServerContext,
    private readonly library: Library,
    private readonly pieces: Pieces,
    private readonly placements: Placements,
  ) {}

  /** A new kit. Two kits may not have one name, or nobody could tell them apart. */
  async add(wanted: NewBrand): Promise<Brand> {
    const logo =
      wanted.logo === undefined
        ? undefined
        : await this.library.logo(wanted.logo, wanted.keepGround);
    const brand = makeBrand(this.context.newId(), wanted, logo);
    if (!brand)
      throw problem("brand-incomplete", { what: "One of its typefaces is not on the shelf." });
    await this.context.store.write(async (tx) => {
      await mustHaveOwnName(tx, brand);
      await tx.insert(brands).values({ id: brand.id, document: brand, created: this.created() });
    });
    return brand;
  }

  /** The ids of the kits that are locked. */
  async locked(): Promise<string[]> {
    const rows = await this.context.store.read.select().from(brands);
    return rows.filter(({ lock }) => lock !== null).map(({ id }) => id);
  }

  /** What a kit has been, newest first; the first kit of all has the number 0. */
  async versions(id: string): Promise<BrandVersion[]> {
    await this.library.brand(id);
    const rows = await this.context.store.read
      .select()
      .from(brandVersions)
      .where(eq(brandVersions.brand, id))
      .orderBy(asc(brandVersions.number));
    const versions = rows.map(({ number, created, document }, i) => {
      const before = rows[i - 1]?.document;
      return { number, created, document, changes: before ? compareBrands(before, document) : [] };
    });
    return versions.reverse();
  }

  /**
   * Changes a kit, and keeps what it was. Throws `brand-conflict` when it is not at that version any more,
   * and `brand-locked` without the key of a locked one.
   */
  async change(id: string, wanted: Brand, version: number, key?: string): Promise<Brand> {
    const brand = { ...wanted, id };
    await this.context.store.write(async (tx) => {
      const row = await mustOpen(tx, id, key);
      await mustHaveOwnName(tx, brand);
      await mustHaveFiles(tx, brandFiles(brand));
      if ((await versionOf(tx, id)) !== version)
        throw problem("brand-conflict", { name: row.document.name });
      await this.keep(tx, row, brand);
    });
    return brand;
  }

  /** Pins a spread to a kit as it is now, or takes it off; what others changed in it meanwhile stays. */
  async pin(id: string, { spread, pinned, key }: SpreadPinning): Promise<Brand> {
    return this.context.store.write(async (tx) => {
      const row = await mustOpen(tx, id, key);
      const others = row.document.spreads.filter((one) => !sameSpread(one, spread));
      const spreads = pinned ? [...others, spread] : others;
      if (!Brand.shape.spreads.safeParse(spreads).success)
        throw problem("brand-incomplete", { what: "No more spreads can be pinned to this kit." });
      const brand = { ...row.document, spreads };
      await this.keep(tx, row, brand);
      return brand;
    });
  }

  /** The kit's next version; its first is kept when it is changed for the first time. */
  private async keep(tx: Transaction, row: typeof brands.$inferSelect, brand: Brand) {
    const { id } = row;
    const now = await versionOf(tx, id);
    const created = this.created();
    if (now === 0) {
      const first = { brand: id, number: 0, document: row.document, created: row.created };
      await tx.insert(brandVersions).values(first);
    }
    await tx.insert(brandVersions).values({ brand: id, number: now + 1, document: brand, created });
    await tx.update(brands).set({ document: brand }).where(eq(brands.id, id));
  }

  /** From now on the kit can only be changed with this key. Throws `brand-locked` when it has another. */
  async lock(id: string, key: string): Promise<void> {
    await this.context.store.write(async (tx) => {
      await mustOpen(tx, id, key);
      await tx
        .update(brands)
        .set({ lock: lockOf(key) })
        .where(eq(brands.id, id));
    });
  }

  async unlock(id: string, key: string): Promise<void> {
    await this.context.store.write(async (tx) => {
      await mustOpen(tx, id, key);
      await tx.update(brands).set({ lock: null }).where(eq(brands.id, id));
    });
  }

  /** Puts a kit in the bin. What has it gets `instead` first; without that, throws `brand-in-use`. */
  async remove(id: string, instead?: string, key?: string): Promise<RebrandAnswer> {
    const other = instead === id ? undefined : instead;
    const answer = await this.context.store.write(async (tx) => {
      const { document } = await mustOpen(tx, id, key);
      const uses = await usesOf(tx, id);
      if (uses.length > 0 && other === undefined)
        throw problem("brand-in-use", { name: document.name, uses: listed(uses) });
      const rebranded =
        other === undefined ? { pieces: [] } : await this.pieces.rebrandAll(tx, id, other);
      await putAwayKit(tx, id, this.created());
      return rebranded;
    });
    return this.pieces.announced(answer);
  }

  /** Deliveries and batches of the pieces in a kit now which would come out otherwise today. */
  async outdated(id: string): Promise<OutdatedList["outdated"]> {
    const brand = await this.library.brand(id);
    const lookup = await this.placements.lookup();
    const { read } = this.context.store;
    const all = await read.select().from(pieces);
    const wearing = new Map(
      all
        .filter((row) => row.document.brand === id && row.deleted === null)
        .map((row) => [row.id, row.document]),
    );
    const of = [...wearing.keys()];
    const [delivered, made] = await Promise.all([
      read
        .select(getTableColumns(deliveries))
        .from(deliveries)
        .innerJoin(jobs, eq(jobs.id, deliveries.id))
        .where(
          and(inArray(deliveries.piece, of), eq(jobs.state, "done"), isNull(deliveries.deleted)),
        )
        .orderBy(desc(deliveries.created)),
      read
        .select()
        .from(batches)
        .where(and(inArray(batches.piece, of), isNull(batches.deleted)))
        .orderBy(desc(batches.created)),
    ]);
    const exported = [
      ...delivered.map((row) => ({ kind: "delivery" as const, row })),
      ...made.map((row) => ({ kind: "batch" as const, row })),
    ];
    return exported.flatMap(({ kind, row }) => {
      if (!row.document || !row.brand) return [];
      const piece = wearing.get(row.piece)!;
      const then = { piece: row.document, brand: row.brand, places: row.places ?? [] };
      const places = then.places.flatMap(({ id }) => placementOf(piece, id, lookup) ?? []);
      const why = outdated(then, { piece, brand, places });
      if (why.length === 0) return [];
      const { id: made_, created } = row;
      return [{ kind, id: made_, piece: piece.id, title: piece.title, created, why }];
    });
  }

  private created(): string {
    return this.context.now().toISOString();
  }
}

/** The crates and pieces that have a kit, by name. */
async function usesOf(tx: Transaction, id: string): Promise<string[]> {
  const own = await tx.select().from(crates).where(eq(crates.brand, id));
  const all = await tx.select().from(pieces);
  const wearing = all.filter(({ document }) => document.brand === id);
  return [...own.map(({ name }) => name), ...wearing.map(({ document }) => document.title)];
}

const MOST_LISTED = 4;

function listed(names: string[]): string {
  const shown = names.slice(0, MOST_LISTED).map((name) => `“${name}”`);
  const more = names.length - shown.length;
  return `${shown.join(", ")}${more > 0 ? ` and ${more} more` : ""}`;
}

async function versionOf(tx: Transaction, brand: string): Promise<number> {
  const [last] = await tx
    .select({ number: max(brandVersions.number) })
    .from(brandVersions)
    .where(eq(brandVersions.brand, brand));
  return last?.number ?? 0;
}

async function mustOpen(tx: Transaction, id: string, key: string | undefined) {
  const [row] = await tx.select().from(brands).where(eq(brands.id, id));
  if (!row) throw problem("not-found", { what: "brand", id });
  if (!opens(row.lock, key)) throw problem("brand-locked", { name: row.document.name });
  return row;
}

async function mustHaveOwnName(tx: Transaction, { id, name }: Brand): Promise<void> {
  const others = await tx.select().from(brands).where(ne(brands.id, id));
  const same = others.find((row) => row.document.name.toLowerCase() === name.toLowerCase());
  if (!same) return;
  const what = `There is a brand kit called “${same.document.name}” already; give this one another name.`;
  throw problem("brand-incomplete", { what });
}
