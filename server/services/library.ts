import { asc, eq, isNotNull } from "drizzle-orm";
import type { FontAnswer, PaletteAnswer } from "../../core/api";
import type { Brand } from "../../core/brand";
import type { FileId, PictureFile } from "../../core/files";
import { makeBrand, type NewBrand } from "../../core/kit";
import { proposeColours } from "../../core/palette";
import { problem } from "../../core/problem";
import { inspectFont } from "../imports/fonts";
import { inspectPicture } from "../render/inspect";
import { brands, files } from "../store/tables";
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
