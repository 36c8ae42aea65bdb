import { type Canvas, createCanvas, ImageData, Path2D } from "@napi-rs/canvas";
import sharp from "sharp";
import { brandFonts, type Brand } from "../../core/brand";
import { makeScene, type Made } from "../../core/engine";
import type { FileId, PictureFile } from "../../core/files";
import { paint, pathCache, type Bitmap } from "../../core/paint";
import { treatmentKey } from "../../core/picture";
import { messagePictures, type Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import { scenePictures, type PictureItem, type Scene } from "../../core/scene";
import { Typesetter } from "../../core/type";
import type { FileSource } from "../files/source";
import { inspectPicture } from "./inspect";
import { render } from "./rendition";

export type ImageFormat = "png" | "jpeg" | "webp";

sharp.concurrency(1);
sharp.cache(false);
const MOST_RENDITIONS = 48;

/** Makes and paints pieces on the server. Keeps fonts, pictures and crops that it has met; one for each thread. */
export class Studio {
  readonly typesetter = new Typesetter();
  private readonly pictures = new Map<FileId, PictureFile>();
  private readonly renditions = new Map<string, Bitmap<Canvas>>();
  private lastCanvas: Canvas | undefined;
  private readonly path = pathCache((d) => new Path2D(d));

  constructor(private readonly files: FileSource) {}

  /** Loads the brand's fonts and the pictures that are used, then makes the scene of one placement. */
  async make(piece: Piece, brand: Brand, placement: string | Placement): Promise<Made> {
    await this.load(piece, brand);
    return makeScene(piece, brand, placement, {
      typesetter: this.typesetter,
      pictures: (id) => this.pictures.get(id),
    });
  }

  /** The scene as an encoded image, `scale` pixels for each of its pixels. */
  async encode(scene: Scene, format: ImageFormat, scale: number): Promise<Buffer> {
    const { data, width, height } = await this.paint(scene, scale);
    const image = sharp(data, { raw: { width, height, channels: 4 } }).removeAlpha();
    switch (format) {
      case "png":
        return image.png({ compressionLevel: 3, adaptiveFiltering: true }).toBuffer();
      case "jpeg":
        return image.jpeg({ quality: 90, optimiseCoding: false }).toBuffer();
      case "webp":
        return image.webp({ quality: 90 }).toBuffer();
    }
  }

  /** RGBA; the ground covers everything, so nothing is see-through. */
  private async paint(
    scene: Scene,
    scale: number,
  ): Promise<{ data: Buffer; width: number; height: number }> {
    const bitmaps = new Map<PictureItem, Bitmap<Canvas>>();
    for (const item of scenePictures(scene)) bitmaps.set(item, await this.rendition(item, scale));
    const materials = { path: this.path, picture: (item: PictureItem) => bitmaps.get(item) };
    const [width, height] = [Math.round(scene.width * scale), Math.round(scene.height * scale)];
    // From here to the return nothing waits: the canvas is shared with the next task.
    const canvas = this.canvas(width, height);
    paint<Path2D, Canvas>(canvas.getContext("2d") as never, scene, materials, scale);
    return { data: canvas.data(), width, height };
  }

  /** Batches paint one size after another, so the last canvas usually fits; a new one is slow to make. */
  private canvas(width: number, height: number): Canvas {
    const last = this.lastCanvas;
    if (last?.width === width && last.height === height) return last;
    return (this.lastCanvas = createCanvas(width, height));
  }

  private async load(piece: Piece, brand: Brand): Promise<void> {
    for (const id of brandFonts(brand)) {
      if (!this.typesetter.hasFont(id)) this.typesetter.addFont(id, await this.files.read(id));
    }
    const logos = brand.logos.map((logo) => logo.file);
    for (const id of [...logos, ...messagePictures(piece.message)]) {
      if (!this.pictures.has(id)) {
        this.pictures.set(id, await inspectPicture(await this.files.read(id), id));
      }
    }
  }

  private async rendition(item: PictureItem, scale: number): Promise<Bitmap<Canvas>> {
    const width = Math.max(1, Math.round(item.box.width * scale));
    const height = Math.max(1, Math.round(item.box.height * scale));
    const { x, y, width: w, height: h } = item.crop;
    const key = [item.file, x, y, w, h, width, height, treatmentKey(item.treatment)].join("|");
    let bitmap = this.renditions.get(key);
    if (!bitmap) {
      const pixels = await render(await this.files.read(item.file), { ...item, width, height });
      const image = createCanvas(pixels.width, pixels.height);
      image
        .getContext("2d")
        .putImageData(new ImageData(pixels.data, pixels.width, pixels.height), 0, 0);
      bitmap = { image, source: { x: 0, y: 0, width: pixels.width, height: pixels.height } };
      this.keep(key, bitmap);
    }
    return bitmap;
  }

  /** The oldest crop goes first: a batch asks for the same few again and again. */
  private keep(key: string, bitmap: Bitmap<Canvas>): void {
    const [oldest] = this.renditions.keys();
    if (this.renditions.size >= MOST_RENDITIONS && oldest !== undefined)
      this.renditions.delete(oldest);
    this.renditions.set(key, bitmap);
  }
}
