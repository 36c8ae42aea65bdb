import { asc, eq, inArray, isNotNull } from "drizzle-orm";
import type { FontAnswer, LogoWish, PaletteAnswer, StoredPicture } from "../../core/api";
import type { Brand } from "../../core/brand";
import type { Area, FileId, PictureFile } from "../../core/files";
import { messagePictures } from "../../core/piece";
import { proposeColours } from "../../core/palette";
import { Problem, problem } from "../../core/problem";
import { inspectFont } from "../imports/fonts";
import { withFaces } from "../faces/pool";
import { inspectPicture } from "../render/inspect";
import { brands, files, pieces, settings } from "../store/tables";
import type { Surroundings } from "./services";

/** What is written down when every stored picture has been looked at for things and its ink. */
const LOOKED = "pictures:print";

/** Brands, and the files that brands and pieces use. */
export class Library {
  private looking: Promise<void> | undefined;

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

  /** Pictures with the brands that they belong to. */
  async pictures(): Promise<StoredPicture[]> {
    const { read } = this.around.store;
    const [rows, used] = await Promise.all([
      read.select().from(files).where(isNotNull(files.picture)).orderBy(asc(files.created)),
      read.select().from(pieces),
    ]);
    const users = new Map<FileId, Set<string>>();
    for (const { document } of used)
      for (const id of messagePictures(document.message))
        users.set(id, (users.get(id) ?? new Set()).add(document.brand));
    return rows.flatMap(({ picture, brand }) => {
      if (!picture) return [];
      const owners = new Set([
        ...(brand === null ? [] : [brand]),
        ...(users.get(picture.id) ?? []),
      ]);
      return [{ ...picture, brands: [...owners] }];
    });
  }

  async picture(id: FileId): Promise<PictureFile> {
    const [row] = await this.around.store.read.select().from(files).where(eq(files.id, id));
    if (!row?.picture) throw problem("not-found", { what: "picture", id });
    return row.picture;
  }

  /** What was found in pictures, for those that are stored. */
  async areasOf(ids: readonly FileId[]): Promise<Map<FileId, Area[]>> {
    if (ids.length === 0) return new Map();
    const rows = await this.around.store.read
      .select()
      .from(files)
      .where(inArray(files.id, [...ids]));
    return new Map(
      rows.flatMap(({ id, picture }) => (picture?.areas ? [[id, picture.areas]] : [])),
    );
  }

  /** Checks and stores a picture; one that is there already is answered as it is. */
  async addPicture(bytes: Buffer, name: string, brand?: string): Promise<PictureFile> {
    const picture = await this.faced(await inspectPicture(bytes, name), bytes);
    await this.addFile(bytes, name, picture, brand);
    return this.picture(picture.id);
  }

  /** The picture with the faces in it; as it is where they cannot be looked for. */
  private async faced(picture: PictureFile, bytes: Buffer): Promise<PictureFile> {
    if (picture.vector || picture.art?.ground) return picture;
    return withFaces(picture, await this.around.faces.find(bytes));
  }

  /**
   * Pictures that were stored before something was looked for in them, a thing or a drawing's ink, are looked at again;
   * those that cannot be read stay as they are.
   */
  async lookAgain(): Promise<void> {
    const { store, blobs } = this.around;
    const [seen] = await store.read.select().from(settings).where(eq(settings.key, LOOKED));
    if (seen) return;
    for (const known of await this.pictures()) {
      const picture = await blobs
        .read(known.id)
        .then((bytes) => inspectPicture(bytes, known.name))
        .catch(() => undefined);
      if (picture)
        await store.write((tx) => tx.update(files).set({ picture }).where(eq(files.id, known.id)));
    }
    await store.write((tx) => tx.insert(settings).values({ key: LOOKED, value: "done" }));
  }

  /**
   * Looks for faces in the pictures in which nobody has looked yet. It takes about a second for each, in a thread of its
   * own, and goes on at the next start where it was stopped. A picture that cannot be read stays as it is. Whoever asks
   * meanwhile waits for the same.
   */
  lookForFaces(): Promise<void> {
    return (this.looking ??= this.lookAtAll().finally(() => (this.looking = undefined)));
  }

  private async lookAtAll(): Promise<void> {
    const { store, blobs, faces } = this.around;
    for (const known of await this.pictures()) {
      if (!faces.available) return;
      if (known.facesSought || known.vector) continue;
      const bytes = await blobs.read(known.id).catch(() => undefined);
      const found = bytes && (await faces.find(Buffer.from(bytes)));
      if (!found) continue;
      const { brands: _brands, ...picture } = known;
      const seen = withFaces(picture, found);
      await store.write((tx) =>
        tx.update(files).set({ picture: seen }).where(eq(files.id, known.id)),
      );
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

  /** A logo as a kit takes it: without the flat ground that most come on, where that can be taken away. */
  async logo(id: FileId, keepGround = false): Promise<PictureFile> {
    const picture = await this.picture(id);
    if (keepGround || !picture.art?.ground) return picture;
    return this.logoVersion(id, { as: "without-ground" }).catch((error: unknown) => {
      if (error instanceof Problem && error.code === "logo-impossible") return picture;
      throw error;
    });
  }

  /** Checks and stores a font, as it came. Throws `font-unreadable`. */
  async addFont(bytes: Buffer, name: string): Promise<FontAnswer> {
    const faces = await inspectFont(bytes, name);
    return { id: await this.addFile(bytes, name), name, faces };
  }

  async addFile(
    bytes: Uint8Array,
    name: string,
    picture?: PictureFile,
    brand?: string,
  ): Promise<FileId> {
    const id = await this.around.blobs.put(bytes);
    const created = this.around.now().toISOString();
    await this.around.store.write((tx) =>
      tx
        .insert(files)
        .values({
          id,
          name,
          bytes: bytes.length,
          picture: picture ?? null,
          brand: brand ?? null,
          created,
        })
        .onConflictDoNothing(),
    );
    return id;
  }
}
