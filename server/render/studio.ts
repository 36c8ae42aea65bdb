import { type Canvas, createCanvas, ImageData, Path2D, PDFDocument } from "@napi-rs/canvas";
import sharp from "sharp";
import type { ImageFormat } from "../../core/api";
import type { Brand } from "../../core/brand";
import { fittedPiece, makeScene, makeScenes, type Made } from "../../core/engine";
import { box, scaleBox, type Box } from "../../core/geometry";
import type { FileId, PictureFile } from "../../core/files";
import { Cache } from "../../core/cache";
import { loadType, piecePictures } from "../../core/needs";
import type { Pixels } from "../../core/attention";
import { paint, paintSvg, pathCache, type Bitmap, type SvgPicture } from "../../core/paint";
import { develop, type Developing, type Raster } from "../../core/picture";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import type { Sources } from "../../core/resolve";
import { compose, scenePictures, type PictureItem, type Scene } from "../../core/scene";
import {
  compose as composeAlike,
  layoutAlike,
  type Class,
  type Composition,
} from "../../core/siblings";
import { slideCount, slideOf, withSlide } from "../../core/strip";
import { contactSheet, sizeSheet, type SheetAbout } from "../../core/sheet";
import { Typesetter } from "../../core/type";
import { NO_FACES, withFaces, type FaceFinder } from "../faces/pool";
import { toSfnt } from "../files/sfnt";
import type { FileSource } from "../files/source";
import { Bands, inBands, isLarge, withoutAlpha, type Rows } from "./bands";
import { giveBack } from "./collect";
import { encodePixels, QUALITY } from "./encode";
import { iconLookup } from "./icons";
import { inspectPicture } from "./inspect";
import { copyAt } from "./rendition";

/** A page of a document in points, of which a sheet's pixels make two thirds. */
const POINTS = 2 / 3;
/** Pictures in a document have so many pixels for each of the scene's. */
const SHARP_PDF = 2;

sharp.concurrency(1);
sharp.cache(false);

/** Bytes of whole pictures, and as many of their crops, that each thread keeps. */
const MOST_KEPT = 48 * 1024 * 1024;
/** Of so many pictures it is kept what they show. */
const MOST_KNOWN = 500;

/** How words go into an SVG: as outlines, or as text with its faces built in. */
export type SvgText = "outlines" | "text";

/** A page, and where on it the sizes stand, in its pixels. */
export interface PaintedSheet {
  page: Scene;
  sizes: { scene: Scene; at: Box }[];
}

/** RGB of one's own, which nothing paints over. */
interface Painted extends Pixels {
  data: Buffer;
  channels: 3;
}

const page0 = ({ width, height }: Scene): Box => box(0, 0, width, height);

/** Makes and paints pieces on the server. Keeps fonts, pictures and crops that it has met; one for each thread. */
export class Studio {
  readonly typesetter = new Typesetter();
  private readonly pictures = new Map<FileId, PictureFile>();
  private readonly copies = new Cache<Raster>(MOST_KEPT, ({ data }) => data.length);
  private readonly developed = new Cache<Canvas>(
    MOST_KEPT,
    ({ width, height }) => width * height * 4,
  );
  private lastCanvas: Canvas | undefined;
  private readonly path = pathCache((d) => new Path2D(d));
  private readonly bands = new Bands();

  /** `faces` looks for them in pictures of which nothing is known; where pieces say what was found, nobody needs to. */
  constructor(
    private readonly files: FileSource,
    private readonly faces: FaceFinder = NO_FACES,
  ) {}

  /** The scene of one placement. */
  async make(piece: Piece, brand: Brand, placement: Placement): Promise<Made> {
    return makeScene(piece, brand, placement, await this.sources(piece, brand));
  }

  /** The scene of a piece as its siblings stand; undefined where it cannot stand so. */
  async makeAlike(
    piece: Piece,
    composition: Composition,
    brand: Brand,
    placement: Placement,
  ): Promise<Made | undefined> {
    const sources = await this.sources(piece, brand);
    const layout = layoutAlike(piece, composition, brand, placement, sources);
    return layout && { layout, scene: compose(layout) };
  }

  /** How pieces of a class stand on a size. */
  async composition(
    piece: Piece,
    of: Class,
    brand: Brand,
    placement: Placement,
  ): Promise<Composition> {
    for (const message of [of.longest, ...of.tried.map((one) => one.message)])
      await this.load({ ...piece, message: { ...piece.message, ...message } }, brand);
    return composeAlike(piece, of, brand, placement, await this.sources(piece, brand));
  }

  /** A piece that was made from a template, with the lead of each of its slides fitted to its words. */
  async fitted(given: Piece, brand: Brand, placement: Placement): Promise<Piece> {
    let piece = given;
    for (let index = 0; index < slideCount(given); index++) {
      const slide = slideOf(piece, index);
      const sources = await this.sources(slide, brand);
      piece = withSlide(piece, index, fittedPiece(slide, brand, placement, sources));
    }
    return piece;
  }

  /** All sizes of a piece on one page. */
  async sizeSheet(
    piece: Piece,
    brand: Brand,
    placements: readonly Placement[],
    about: SheetAbout,
    format: "png" | "pdf",
  ): Promise<Buffer> {
    const sheet = sizeSheet(placements, piece.lead, about);
    const { scene: page } = await this.make(sheet.piece, sheet.brand, sheet.placement);
    const made = makeScenes(piece, brand, placements, await this.sources(piece, brand));
    const sizes = made.map(({ scene }, i) => ({ scene, at: sheet.at[i]! }));
    return this.sheet({ page, sizes }, format, about.title);
  }

  /** Variations of one size on one page, with their names. */
  async contactSheet(
    scenes: readonly Scene[],
    names: readonly string[],
    placement: Placement,
    about: SheetAbout,
    format: "png" | "pdf",
  ): Promise<Buffer> {
    const sheet = contactSheet(placement, names, about);
    const { scene: page } = await this.make(sheet.piece, sheet.brand, sheet.placement);
    const sizes = scenes.map((scene, i) => ({ scene, at: sheet.at[i]! }));
    return this.sheet({ page, sizes }, format, about.title);
  }

  /** What the engine looks things up in, with everything loaded that the piece uses. */
  async sources(piece: Piece, brand: Brand): Promise<Sources> {
    await this.load(piece, brand);
    return {
      typesetter: this.typesetter,
      pictures: (id) => this.pictures.get(id),
      icons: iconLookup,
    };
  }

  /** The scene as an encoded image, `scale` pixels for each of its pixels. */
  async encode(
    scene: Scene,
    format: ImageFormat,
    scale: number,
    svgText: SvgText = "outlines",
  ): Promise<Buffer> {
    if (format === "svg") return Buffer.from(await this.svg(scene, scale, svgText));
    if (format === "webp" || isLarge(scene.width * scale, scene.height * scale))
      return encodePixels(await this.paint(scene, scale), format);
    return this.bands.encode(scene, format, scale, (part, rows) =>
      this.paintRows(part, scale, rows),
    );
  }

  /** The scene as an SVG document; its pictures have `scale` pixels for each of the scene's. */
  async svg(scene: Scene, scale: number, text: SvgText): Promise<string> {
    const pictures = new Map<PictureItem, SvgPicture>();
    for (const item of scenePictures(scene)) pictures.set(item, await this.svgPicture(item, scale));
    const fonts = text === "text" ? await this.builtIn(scene) : undefined;
    const font = fonts && ((id: FileId) => fonts.get(id));
    const materials = {
      picture: (item: PictureItem) => pictures.get(item),
      ...(font ? { font } : {}),
    };
    return paintSvg(scene, materials, scale);
  }

  /** RGB: the ground covers everything, so nothing is see-through. */
  async paint(scene: Scene, scale: number): Promise<Painted> {
    const [width, height] = [Math.round(scene.width * scale), Math.round(scene.height * scale)];
    const data = isLarge(width, height)
      ? await this.paintLarge(scene, scale, width, height)
      : await this.paintRows(scene, scale, { top: 0, bottom: height });
    return { data, width, height, channels: 3 };
  }

  private async paintLarge(
    scene: Scene,
    scale: number,
    width: number,
    height: number,
  ): Promise<Buffer> {
    await this.forget();
    const materials = await this.materials(scene, scale);
    // The pixels that its pictures were made of are given back before there are more.
    await giveBack();
    return inBands(scene, materials, scale, width, height);
  }

  /** RGB of some output rows; painted where they stand, since a letter's edge is softened otherwise elsewhere. */
  private async paintRows(scene: Scene, scale: number, { top, bottom }: Rows): Promise<Buffer> {
    const [width, height] = [Math.round(scene.width * scale), Math.round(scene.height * scale)];
    const materials = await this.materials(scene, scale);
    // From here to the return nothing waits: the canvas is shared with the next task.
    const context = this.canvas(width, height).getContext("2d");
    context.save();
    context.beginPath();
    context.rect(0, top, width, bottom - top);
    context.clip();
    paint<Path2D, Canvas>(context as never, scene, materials, scale);
    context.restore();
    return withoutAlpha(context.getImageData(0, top, width, bottom - top).data);
  }

  /** The scenes as one document, a page each; shapes and words stay vectors. Pages are in points, 3 pixels to 2. */
  async pdf(title: string, scenes: readonly Scene[]): Promise<Buffer> {
    const document = new PDFDocument({ title });
    for (const scene of scenes) {
      const { path, picture } = await this.materials(scene, SHARP_PDF);
      const shrunk = (item: PictureItem) => {
        const bitmap = picture(item);
        return bitmap && { ...bitmap, at: scaleBox(bitmap.at, POINTS / SHARP_PDF) };
      };
      const materials = { path, picture: shrunk };
      const context = document.beginPage(scene.width * POINTS, scene.height * POINTS);
      paint<Path2D, Canvas>(context as never, scene, materials, POINTS);
      document.endPage();
    }
    return document.close();
  }

  /** Scenes of one height beside each other, without a gap, as PNG. */
  async sideBySide(scenes: readonly Scene[]): Promise<Buffer> {
    const parts: { input: Buffer; left: number; top: number }[] = [];
    let left = 0;
    for (const scene of scenes) {
      parts.push({ input: await this.encode(scene, "png", 1), left, top: 0 });
      left += scene.width;
    }
    const height = Math.max(...scenes.map((scene) => scene.height));
    const page = { width: left, height, channels: 3, background: "#FFFFFF" } as const;
    return sharp({ create: page })
      .composite(parts)
      .removeAlpha()
      .png({ compressionLevel: 6 })
      .toBuffer();
  }

  /** Sizes on one page, as PNG or PDF; `scale` is output pixels for each pixel of the page. */
  async sheet(
    { page, sizes }: PaintedSheet,
    format: "png" | "pdf",
    title: string,
    scale = 2,
  ): Promise<Buffer> {
    const [width, height] = [Math.round(page.width * scale), Math.round(page.height * scale)];
    const document = format === "pdf" ? new PDFDocument({ title }) : undefined;
    // A document counts in points; its pictures keep the pixels that they would have in an image.
    const by = document ? POINTS : scale;
    const canvas = document ? undefined : createCanvas(width, height);
    const context =
      canvas?.getContext("2d") ?? document!.beginPage(page.width * POINTS, page.height * POINTS);
    for (const { scene, at } of [{ scene: page, at: page0(page) }, ...sizes]) {
      const own = at.width / scene.width;
      const { path, picture } = await this.materials(scene, own * scale);
      const shrunk = (item: PictureItem) => {
        const bitmap = picture(item);
        return bitmap && { ...bitmap, at: scaleBox(bitmap.at, by / scale) };
      };
      const from = {
        x: Math.round(at.x * scale) * (by / scale),
        y: Math.round(at.y * scale) * (by / scale),
      };
      paint<Path2D, Canvas>(context as never, scene, { path, picture: shrunk }, own * by, from);
    }
    if (!document)
      return sharp(canvas!.data(), { raw: { width, height, channels: 4 } })
        .removeAlpha()
        .png({ compressionLevel: 6 })
        .toBuffer();
    document.endPage();
    return document.close();
  }

  private async materials(scene: Scene, scale: number) {
    const bitmaps = new Map<PictureItem, Bitmap<Canvas>>();
    for (const item of scenePictures(scene)) bitmaps.set(item, await this.bitmap(item, scale));
    return { path: this.path, picture: (item: PictureItem) => bitmaps.get(item) };
  }

  /** Lets go of what is kept for the next picture: this one needs the room. */
  private async forget(): Promise<void> {
    this.copies.clear();
    this.developed.clear();
    this.bands.clear();
    this.lastCanvas = undefined;
    await giveBack();
  }

  /** Batches paint one size after another, so the last canvas usually fits; a new one is slow to make. */
  private canvas(width: number, height: number): Canvas {
    const last = this.lastCanvas;
    if (last?.width === width && last.height === height) return last;
    return (this.lastCanvas = createCanvas(width, height));
  }

  private async load(piece: Piece, brand: Brand): Promise<void> {
    await loadType(piece, brand, this.typesetter, async (id) => toSfnt(await this.files.read(id)));
    for (const id of piecePictures(piece, brand)) {
      if (!this.pictures.has(id)) {
        const bytes = await this.files.read(id);
        const picture = await inspectPicture(bytes, id);
        const faces = picture.vector ? undefined : await this.faces.find(bytes);
        this.pictures.set(id, withFaces(picture, faces));
        // Those of the pieces at hand are among the newest.
        const [oldest] = this.pictures.keys();
        if (this.pictures.size > MOST_KNOWN) this.pictures.delete(oldest!);
      }
    }
  }

  private async bitmap(item: PictureItem, scale: number): Promise<Bitmap<Canvas>> {
    const developing = this.developing(item, scale);
    const image = await this.developed.get(developing.key, async () => {
      const { data, width, height } = await this.pixels(item, developing);
      const canvas = createCanvas(width, height);
      canvas.getContext("2d").putImageData(new ImageData(data, width, height), 0, 0);
      return canvas;
    });
    const { width, height } = image;
    return { image, source: { x: 0, y: 0, width, height }, at: developing.at };
  }

  private developing(item: PictureItem, scale: number): Developing {
    return develop(this.pictures.get(item.file)!, item, scale);
  }

  private async pixels(item: PictureItem, { level, from }: Developing): Promise<Raster> {
    const picture = this.pictures.get(item.file)!;
    const copy = await this.copies.get(`${item.file}|${level}`, async () =>
      copyAt(await this.files.read(item.file), picture, level),
    );
    return from(copy);
  }

  private async svgPicture(item: PictureItem, scale: number): Promise<SvgPicture> {
    const developing = this.developing(item, scale);
    const { data, width, height, opaque } = await this.pixels(item, developing);
    const image = sharp(data, { raw: { width, height, channels: 4 } });
    const bytes = opaque
      ? await image.removeAlpha().jpeg({ quality: QUALITY }).toBuffer()
      : await image.png().toBuffer();
    const mime = opaque ? "image/jpeg" : "image/png";
    const { at } = developing;
    return {
      href: `data:${mime};base64,${bytes.toString("base64")}`,
      box: { x: at.x / scale, y: at.y / scale, width: at.width / scale, height: at.height / scale },
    };
  }

  /** The faces that a scene is set in, as addresses; those whose licence bits forbid it stay out. */
  private async builtIn(scene: Scene): Promise<Map<FileId, string>> {
    const used = scene.items.flatMap((item) => (item.kind === "glyphs" ? item.runs : []));
    const built = new Map<FileId, string>();
    for (const id of new Set(used.map((run) => run.file))) {
      if (this.typesetter.font(id)?.embedding === "forbidden") continue;
      const bytes = Buffer.from(await toSfnt(await this.files.read(id)));
      built.set(id, `data:font/ttf;base64,${bytes.toString("base64")}`);
    }
    return built;
  }
}
