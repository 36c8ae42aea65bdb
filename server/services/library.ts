import { asc, eq, isNotNull } from "drizzle-orm";
import type { FontAnswer, LogoWish, PaletteAnswer } from "../../core/api";
import type { Brand } from "../../core/brand";
import type { FileId, PictureFile } from "../../core/files";
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

  /** Pictures that were stored before a focus was looked for get theirs; those that cannot be read stay as they are. */
  async findFoci(): Promise<void> {
    const { store, blobs } = this.around;
    for (const known of await this.pictures()) {
      if (known.vector || known.focus) continue;
      const picture = await blobs
        .read(known.id)
        .then((bytes) => inspectPicture(bytes, known.name))
        .catch(() => undefined);
      if (picture)
        await store.write((tx) => tx.update(files).set({ picture }).where(eq(files.id, known.id)));
    }
  }

  /** Stores a logo or screenshot and proposes the colours that it shows. */
  async proposeColours(bytes: Buffer, name: string): Promise<PaletteAnswer> {
    const picture = await this.addPicture(bytes, name);
    return { picture, colours: proposeColours(await this.around.pool.palette(picture.id)) };
  }

  /** Another version of a logo, made from its pixels and stored beside it. Throws `logo-impossible`. */
  async logoVersion(id: FileId, wanted: LogoWish): Promise<PictureFile> {
    const { name } = await this.picture(id);
    const bytes = await this.around.pool.logo(id, wanted);
    if (!bytes) throw problem("logo-impossible", { name, why: "it stands on no flat ground" });
    const stem = name.replace(/\.[a-z0-9]+$/i, "");
    const as = wanted.as === "one-colour" ? `in ${wanted.hex}` : "without its ground";
    return this.addPicture(Buffer.from(bytes), `${stem} ${as}.png`);
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
