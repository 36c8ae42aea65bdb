import { asc, eq, inArray, isNotNull, max } from "drizzle-orm";
import type { BrandVersion, FontAnswer, PaletteAnswer } from "../../core/api";
import { brandFonts, type Brand } from "../../core/brand";
import type { FileId, PictureFile } from "../../core/files";
import { compareBrands, makeBrand, type NewBrand } from "../../core/kit";
import { proposeColours } from "../../core/palette";
import { problem } from "../../core/problem";
import { shippedFonts } from "../../core/shelf";
import { inspectFont } from "../imports/fonts";
import { inspectPicture } from "../render/inspect";
import type { Transaction } from "../store/database";
import { brands, brandVersions, files } from "../store/tables";
import type { Surroundings } from "./services";

/** Brands, and the files that brands and pieces use. */
export class Library {
  constructor(private readonly around: Surroundings) {}

  async brands(): Promise<Brand[]> {
    const rows = await this.around.store.read.select().from(brands).orderBy(asc(brands.created));
    return rows.map((row) => row.document);
  }

  async brand(id: string): Promise<Brand> {
    const [row] = await this.around.store.read.select().from(brands).where(eq(brands.id, id));
    if (!row) throw problem("not-found", { what: "brand", id });
    return row.document;
  }

  async pictures(): Promise<PictureFile[]> {
    const { read } = this.around.store;
    const rows = await read
      .select()
      .from(files)
      .where(isNotNull(files.picture))
      .orderBy(asc(files.created));
    return rows.flatMap((row) => row.picture ?? []);
  }

  async picture(id: FileId): Promise<PictureFile> {
    const [row] = await this.around.store.read.select().from(files).where(eq(files.id, id));
    if (!row?.picture) throw problem("not-found", { what: "picture", id });
    return row.picture;
  }

  /** Checks and stores a picture; one that is there already is answered as it is. */
  async addPicture(bytes: Buffer, name: string): Promise<PictureFile> {
    const picture = await inspectPicture(bytes, name);
    await this.addFile(bytes, name, picture);
    return this.picture(picture.id);
  }

  /** Stores a logo or screenshot and proposes the colours that it shows. */
  async proposeColours(bytes: Buffer, name: string): Promise<PaletteAnswer> {
    const picture = await this.addPicture(bytes, name);
    return { picture, colours: proposeColours(await this.around.pool.palette(picture.id)) };
  }

  /** A new kit. Two kits may not have one name, or nobody could tell them apart. */
  async addBrand(wanted: NewBrand): Promise<Brand> {
    const logo = wanted.logo === undefined ? undefined : await this.picture(wanted.logo);
    const brand = makeBrand(this.around.newId(), wanted, logo);
    if (!brand)
      throw problem("brand-incomplete", { what: "One of its typefaces is not on the shelf." });
    await this.around.store.write(async (tx) => {
      const all = await tx.select().from(brands);
      const same = all.find((row) => row.document.name.toLowerCase() === brand.name.toLowerCase());
      if (same) {
        const what = `There is a brand kit called “${same.document.name}” already; give this one another name.`;
        throw problem("brand-incomplete", { what });
      }
      const created = this.around.now().toISOString();
      await tx.insert(brands).values({ id: brand.id, document: brand, created });
    });
    return brand;
  }

  /** What a kit has been, newest first; the first kit of all has the number 0. */
  async brandVersions(id: string): Promise<BrandVersion[]> {
    await this.brand(id);
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

  /** Changes a kit, and keeps what it was. Throws `brand-conflict` when it is not at that version any more. */
  async changeBrand(id: string, wanted: Brand, version: number): Promise<Brand> {
    const fonts = brandFonts(wanted);
    const brand = { ...wanted, id };
    await this.around.store.write(async (tx) => {
      const [row] = await tx.select().from(brands).where(eq(brands.id, id));
      if (!row) throw problem("not-found", { what: "brand", id });
      await mustHaveFiles(tx, [...fonts, ...brand.logos.map((logo) => logo.file)]);
      const [last] = await tx
        .select({ number: max(brandVersions.number) })
        .from(brandVersions)
        .where(eq(brandVersions.brand, id));
      const now = last?.number ?? 0;
      if (now !== version) throw problem("brand-conflict", { name: row.document.name });
      const created = this.around.now().toISOString();
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

  /** Checks and stores a font, as it came. Throws `font-unreadable`. */
  async addFont(bytes: Buffer, name: string): Promise<FontAnswer> {
    const faces = await inspectFont(bytes, name);
    return { id: await this.addFile(bytes, name), name, faces };
  }

  async addFile(bytes: Uint8Array, name: string, picture?: PictureFile): Promise<FileId> {
    const id = await this.around.blobs.put(bytes);
    const created = this.around.now().toISOString();
    await this.around.store.write((tx) =>
      tx
        .insert(files)
        .values({ id, name, bytes: bytes.length, picture: picture ?? null, created })
        .onConflictDoNothing(),
    );
    return id;
  }
}

/** A kit may only name files that are stored or shipped. */
async function mustHaveFiles(tx: Transaction, wanted: FileId[]): Promise<void> {
  const own = [...new Set(wanted)].filter((id) => !shippedFonts.has(id));
  const found = await tx.select({ id: files.id }).from(files).where(inArray(files.id, own));
  const known = new Set(found.map(({ id }) => id));
  const missing = own.find((id) => !known.has(id));
  if (missing !== undefined) throw problem("file-missing", { document: "The kit", file: missing });
}
