import { stat, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { and, asc, eq, inArray, isNotNull, isNull, sql } from "drizzle-orm";
import {
  photographsIn,
  photographsOf,
  type FontAnswer,
  type LogoWish,
  type PaletteAnswer,
  type StoredPicture,
} from "../../core/api";
import type { Brand } from "../../core/brand";
import type { Area, FileId, PictureFile, PictureNote } from "../../core/files";
import { piecePictureIds } from "../../core/piece";
import { proposeColours } from "../../core/palette";
import { Problem, problem } from "../../core/problem";
import { withFaces } from "../faces/pool";
import { withScratch } from "../files/scratch";
import type { Transaction } from "../store/database";
import { brands, files, pieces, settings } from "../store/tables";
import type { ServerContext } from "../context";

/** What is written down when every stored picture has been looked at for things, its ink and its colours. */
const LOOKED = "pictures:colours";

/** Brands, and the files that brands and pieces use. */
export class Library {
  private looking: Promise<void> | undefined;

  constructor(private readonly context: ServerContext) {}

  async brands(): Promise<Brand[]> {
    const rows = await this.context.store.read.select().from(brands).orderBy(asc(brands.created));
    return rows.map((row) => row.document);
  }

  async brand(id: string): Promise<Brand> {
    const [row] = await this.context.store.read.select().from(brands).where(eq(brands.id, id));
    if (!row) throw problem("not-found", { what: "brand", id });
    return row.document;
  }

  /** Pictures with the brands that they belong to. Their tones are nine tenths of them, and are left in the database. */
  async pictures(): Promise<StoredPicture[]> {
    const { read } = this.context.store;
    const withoutTones = sql<string>`json_remove(${files.picture}, '$.tones')`;
    const [rows, used] = await Promise.all([
      read
        .select({ brand: files.brand, picture: withoutTones })
        .from(files)
        .where(and(isNotNull(files.picture), isNull(files.deleted)))
        .orderBy(asc(files.created)),
      read.select({ document: pieces.document }).from(pieces),
    ]);
    const users = new Map<FileId, Set<string>>();
    for (const { document } of used)
      for (const id of piecePictureIds(document))
        users.set(id, (users.get(id) ?? new Set()).add(document.brand));
    return rows.map(({ picture, brand }) => {
      const known = JSON.parse(picture) as Omit<StoredPicture, "brands">;
      const owners = new Set([...(brand === null ? [] : [brand]), ...(users.get(known.id) ?? [])]);
      return { ...known, brands: [...owners] };
    });
  }

  /** The pictures that a brand may show. */
  async photographsOf(brand: string): Promise<StoredPicture[]> {
    const [pictures, kits] = await Promise.all([this.pictures(), this.brands()]);
    return photographsOf(photographsIn(pictures, kits), brand);
  }

  async picture(id: FileId): Promise<PictureFile> {
    const isThere = and(eq(files.id, id), isNull(files.deleted));
    const [row] = await this.context.store.read.select().from(files).where(isThere);
    if (!row?.picture) throw problem("not-found", { what: "picture", id });
    return row.picture;
  }

  /** Writes down what a person says of a picture. */
  async note(id: FileId, note: PictureNote): Promise<PictureFile> {
    const { credit: _credit, licence: _licence, ...known } = await this.picture(id);
    const picture = { ...known, ...noteOf(note) };
    await this.context.store.write((tx) =>
      tx.update(files).set({ picture }).where(eq(files.id, id)),
    );
    return picture;
  }

  /** What people said of pictures, for those that are stored. */
  async notesOf(ids: readonly FileId[]): Promise<Map<FileId, PictureNote>> {
    const rows = await this.rowsOf(ids);
    return new Map(rows.flatMap(({ id, picture }) => (picture ? [[id, noteOf(picture)]] : [])));
  }

  /** What was found in pictures, for those that are stored. */
  async areasOf(ids: readonly FileId[]): Promise<Map<FileId, Area[]>> {
    const rows = await this.rowsOf(ids);
    return new Map(
      rows.flatMap(({ id, picture }) => (picture?.areas ? [[id, picture.areas]] : [])),
    );
  }

  private async rowsOf(ids: readonly FileId[]): Promise<(typeof files.$inferSelect)[]> {
    if (ids.length === 0) return [];
    return this.context.store.read
      .select()
      .from(files)
      .where(inArray(files.id, [...ids]));
  }

  /** Checks and stores the picture at a path; one that is there already is answered as it is. */
  async addPicture(path: string, name: string, brand?: string): Promise<PictureFile> {
    const picture = await this.faced(await this.context.reader.picture(path, name), path);
    await this.addFile(path, name, picture, brand);
    return this.picture(picture.id);
  }

  /** The picture with the faces in it; as it is where they cannot be looked for. */
  private async faced(picture: PictureFile, path: string): Promise<PictureFile> {
    if (picture.vector || picture.art?.ground) return picture;
    return withFaces(picture, await this.context.faces.find(path));
  }

  /**
   * Pictures that were stored before something was looked for in them, a thing or their colours, are looked at again;
   * those that cannot be read stay as they are.
   */
  async lookAgain(): Promise<void> {
    const { store, blobs, reader } = this.context;
    const [seen] = await store.read.select().from(settings).where(eq(settings.key, LOOKED));
    if (seen) return;
    for (const known of await this.pictures()) {
      const seen = await reader.picture(blobs.path(known.id), known.name).catch(() => undefined);
      if (!seen) continue;
      const picture = { ...seen, ...noteOf(known) };
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
    const { store, blobs, faces } = this.context;
    for (const known of await this.pictures()) {
      if (!faces.available) return;
      if (known.facesSought || known.vector) continue;
      const found = await faces.find(blobs.path(known.id));
      if (!found) continue;
      const seen = withFaces(await this.picture(known.id), found);
      await store.write((tx) =>
        tx.update(files).set({ picture: seen }).where(eq(files.id, known.id)),
      );
    }
  }

  /** Stores a logo or screenshot and proposes the colours that it shows. */
  async proposeColours(path: string, name: string): Promise<PaletteAnswer> {
    const picture = await this.addPicture(path, name);
    return { picture, colours: proposeColours(await this.context.pool.palette(picture.id)) };
  }

  /** Another version of a logo, made from its pixels and stored beside it. Throws `logo-impossible`. */
  async logoVersion(id: FileId, wanted: LogoWish): Promise<PictureFile> {
    const { name } = await this.picture(id);
    const bytes = await this.context.pool.logo(id, wanted);
    if (!bytes) throw problem("logo-impossible", { name, why: "it stands on no flat ground" });
    const stem = name.replace(/\.[a-z0-9]+$/i, "");
    const as = wanted.as === "one-colour" ? `in ${wanted.hex}` : "without its ground";
    return withScratch(this.context.folder, async (scratch) => {
      const path = join(scratch, "logo.png");
      await writeFile(path, bytes);
      return this.addPicture(path, `${stem} ${as}.png`);
    });
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
  async addFont(path: string, name: string): Promise<FontAnswer> {
    const faces = await this.context.reader.font(path, name);
    return { id: await this.addFile(path, name), name, faces };
  }

  /** Stores a copy of the file at a path. */
  async addFile(
    path: string,
    name: string,
    picture?: PictureFile,
    brand?: string,
  ): Promise<FileId> {
    const row = await this.fileRow(path, name, picture, brand);
    await this.context.store.write((tx) => addFileRow(tx, row));
    return row.id;
  }

  /** What is to be written down of the file at a path, whose bytes are stored by then. */
  async fileRow(
    path: string,
    name: string,
    picture?: PictureFile,
    brand?: string,
  ): Promise<typeof files.$inferInsert> {
    const id = await this.context.blobs.put(path);
    const { size } = await stat(path);
    const created = this.context.now().toISOString();
    return { id, name, bytes: size, picture: picture ?? null, brand: brand ?? null, created };
  }
}

/** What is not said is not kept. */
const noteOf = ({ name, credit, licence }: PictureNote): PictureNote => ({
  name,
  ...(credit ? { credit } : {}),
  ...(licence ? { licence } : {}),
});

/** One that is there stays as it is; one that was in the bin is out of it. */
export const addFileRow = (tx: Transaction, row: typeof files.$inferInsert) =>
  tx
    .insert(files)
    .values(row)
    .onConflictDoUpdate({ target: files.id, set: { deleted: null } });
