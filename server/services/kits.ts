import { and, asc, desc, eq, inArray, max, ne } from "drizzle-orm";
import type { BrandVersion, DressAnswer, OutdatedList } from "../../core/api";
import { brandFiles, type Brand } from "../../core/brand";
import type { FileId } from "../../core/files";
import { compareBrands, makeBrand, outdated, type NewBrand } from "../../core/kit";
import { placementOf } from "../../core/piece";
import { problem } from "../../core/problem";
import { shippedFonts } from "../../core/shelf";
import type { Transaction } from "../store/database";
import { batches, brands, brandVersions, crates, deliveries, files, pieces } from "../store/tables";
import type { Library } from "./library";
import { lockOf, opens } from "./lock";
import type { Pieces } from "./pieces";
import type { Placements } from "./placements";
import type { Surroundings } from "./services";

/** Brand kits: making, changing, locking and deleting them, and what a change puts out of date. */
export class Kits {
  constructor(
    private readonly around: Surroundings,
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
    const brand = makeBrand(this.around.newId(), wanted, logo);
    if (!brand)
      throw problem("brand-incomplete", { what: "One of its typefaces is not on the shelf." });
    await this.around.store.write(async (tx) => {
      await mustHaveOwnName(tx, brand);
      await tx.insert(brands).values({ id: brand.id, document: brand, created: this.created() });
    });
    return brand;
  }

  /** The ids of the kits that are locked. */
  async locked(): Promise<string[]> {
    const rows = await this.around.store.read.select().from(brands);
    return rows.filter(({ lock }) => lock !== null).map(({ id }) => id);
  }

  /** What a kit has been, newest first; the first kit of all has the number 0. */
  async versions(id: string): Promise<BrandVersion[]> {
    await this.library.brand(id);
    const rows = await this.around.store.read
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
    await this.around.store.write(async (tx) => {
      const row = await mustOpen(tx, id, key);
      await mustHaveOwnName(tx, brand);
      await mustHaveFiles(tx, brandFiles(brand));
      const [last] = await tx
        .select({ number: max(brandVersions.number) })
        .from(brandVersions)
        .where(eq(brandVersions.brand, id));
      const now = last?.number ?? 0;
      if (now !== version) throw problem("brand-conflict", { name: row.document.name });
      const created = this.created();
      if (now === 0) {
        const first = { brand: id, number: 0, document: row.document, created: row.created };
        await tx.insert(brandVersions).values(first);
      }
      await tx
        .insert(brandVersions)
        .values({ brand: id, number: now + 1, document: brand, created });
      await tx.update(brands).set({ document: brand }).where(eq(brands.id, id));
    });
    return brand;
  }

  /** From now on the kit can only be changed with this key. Throws `brand-locked` when it has another. */
  async lock(id: string, key: string): Promise<void> {
    await this.around.store.write(async (tx) => {
      await mustOpen(tx, id, key);
      await tx
        .update(brands)
        .set({ lock: lockOf(key) })
        .where(eq(brands.id, id));
    });
  }

  async unlock(id: string, key: string): Promise<void> {
    await this.around.store.write(async (tx) => {
      await mustOpen(tx, id, key);
      await tx.update(brands).set({ lock: null }).where(eq(brands.id, id));
    });
  }

  /** Deletes a kit. What wears it is dressed in `instead` first; without that, throws `brand-in-use`. */
  async remove(id: string, instead?: string, key?: string): Promise<DressAnswer> {
    const brand = await this.library.brand(id);
    const uses = await this.uses(id);
    const other = instead === id ? undefined : instead;
    if (uses.length > 0 && other === undefined) {
      throw problem("brand-in-use", { name: brand.name, uses: listed(uses) });
    }
    const answer = await this.around.store.write(async (tx) => {
      await mustOpen(tx, id, key);
      const dressed =
        other === undefined ? { pieces: [] } : await this.pieces.dressAll(tx, id, other);
      await tx.delete(brandVersions).where(eq(brandVersions.brand, id));
      await tx.delete(brands).where(eq(brands.id, id));
      return dressed;
    });
    return this.pieces.announced(answer);
  }

  /** The crates and pieces that wear a kit, by name. */
  private async uses(id: string): Promise<string[]> {
    const { read } = this.around.store;
    const own = await read.select().from(crates).where(eq(crates.brand, id));
    const all = await read.select().from(pieces);
    const dressed = all.filter(({ document }) => document.brand === id);
    return [...own.map(({ name }) => name), ...dressed.map(({ document }) => document.title)];
  }

  /** Deliveries and batches of the pieces that wear a kit now which would come out otherwise today. */
  async outdated(id: string): Promise<OutdatedList["outdated"]> {
    const brand = await this.library.brand(id);
    const lookup = await this.placements.lookup();
    const { read } = this.around.store;
    const all = await read.select().from(pieces);
    const wearing = new Map(
      all.filter((row) => row.document.brand === id).map((row) => [row.id, row.document]),
    );
    const of = [...wearing.keys()];
    const [delivered, made] = await Promise.all([
      read
        .select()
        .from(deliveries)
        .where(and(inArray(deliveries.piece, of), eq(deliveries.state, "ready")))
        .orderBy(desc(deliveries.created)),
      read.select().from(batches).where(inArray(batches.piece, of)).orderBy(desc(batches.created)),
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
    return this.around.now().toISOString();
  }
}

const MOST_LISTED = 4;

function listed(names: string[]): string {
  const shown = names.slice(0, MOST_LISTED).map((name) => `“${name}”`);
  const more = names.length - shown.length;
  return `${shown.join(", ")}${more > 0 ? ` and ${more} more` : ""}`;
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

/** A kit may only name files that are stored or shipped. */
async function mustHaveFiles(tx: Transaction, wanted: FileId[]): Promise<void> {
  const own = [...new Set(wanted)].filter((id) => !shippedFonts.has(id));
  const found = await tx.select({ id: files.id }).from(files).where(inArray(files.id, own));
  const known = new Set(found.map(({ id }) => id));
  const missing = own.find((id) => !known.has(id));
  if (missing !== undefined) throw problem("file-missing", { document: "The kit", file: missing });
}
