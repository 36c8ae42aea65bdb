import { type Canvas, createCanvas, ImageData, Path2D } from "@napi-rs/canvas";
import type { ImageFormat } from "../../core/api";
import type { Pixels } from "../../core/attention";
import { Cache } from "../../core/cache";
import type { FileId, PictureFile } from "../../core/files";
import { paint, pathCache, type Bitmap, type Materials } from "../../core/paint";
import { develop, type Developing, type Raster } from "../../core/picture";
import { scenePictures, type PictureItem, type Scene } from "../../core/scene";
import type { FileSource } from "../files/source";
import { Bands, inBands, isLarge, withoutAlpha, type Rows } from "./bands";
import { giveBack } from "./collect";
import { encodePixels } from "./encode";
import { copyAt } from "./rendition";

/** Bytes of whole pictures, and as many of their crops, that each thread keeps. */
const MOST_KEPT = 48 * 1024 * 1024;

/** RGB of one's own, which nothing paints over. */
interface Painted extends Pixels {
  data: Buffer;
  channels: 3;
}

/** Pixels of a picture as a scene shows it, and where they are painted, in output pixels. */
interface Shown extends Pick<Developing, "at"> {
  raster: Raster;
}

/** Paints scenes as pixels. Keeps copies of pictures, their crops, bands and a canvas for the next. */
export class Painter {
  private readonly copies = new Cache<Raster>(MOST_KEPT, ({ data }) => data.length);
  private readonly developed = new Cache<Canvas>(
    MOST_KEPT,
    ({ width, height }) => width * height * 4,
  );
  private lastCanvas: Canvas | undefined;
  private readonly path = pathCache((d) => new Path2D(d));
  private readonly bands = new Bands();

  /** `pictures` are those of the scenes. */
  constructor(
    private readonly files: FileSource,
    private readonly pictures: { get(id: FileId): PictureFile | undefined },
  ) {}

  /** The scene as an encoded image, `scale` pixels for each of its pixels. */
  async encode(scene: Scene, format: Exclude<ImageFormat, "svg">, scale: number): Promise<Buffer> {
    if (format === "webp" || isLarge(scene.width * scale, scene.height * scale))
      return encodePixels(await this.paint(scene, scale), format);
    return this.bands.encode(scene, format, scale, (part, rows) =>
      this.paintRows(part, scale, rows),
    );
  }

  /** RGB: the ground covers everything, so nothing is see-through. */
  async paint(scene: Scene, scale: number): Promise<Painted> {
    const [width, height] = [Math.round(scene.width * scale), Math.round(scene.height * scale)];
    const data = isLarge(width, height)
      ? await this.paintLarge(scene, scale, width, height)
      : await this.paintRows(scene, scale, { top: 0, bottom: height });
    return { data, width, height, channels: 3 };
  }

  /** What a scene is painted with at that scale. */
  async materials(scene: Scene, scale: number): Promise<Materials<Path2D, Canvas>> {
    const bitmaps = new Map<PictureItem, Bitmap<Canvas>>();
    for (const item of scenePictures(scene)) bitmaps.set(item, await this.bitmap(item, scale));
    return { path: this.path, picture: (item) => bitmaps.get(item) };
  }

  /** The pixels of one of a scene's pictures. */
  async shown(item: PictureItem, scale: number): Promise<Shown> {
    const developing = this.developing(item, scale);
    return { raster: await this.raster(item, developing), at: developing.at };
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
    context.beginPath();
    context.rect(0, top, width, bottom - top);
    context.clip();
    paint<Path2D, Canvas>(context as never, scene, materials, scale);
    return withoutAlpha(context.getImageData(0, top, width, bottom - top).data);
  }

  /** Lets go of what is kept for the next picture: this one needs the room. */
  private async forget(): Promise<void> {
    this.copies.clear();
    this.developed.clear();
    this.bands.clear();
    this.lastCanvas = undefined;
    await giveBack();
  }

  /**
   * Batches paint one size after another, so the last canvas usually fits. Given a height it has new pixels: those that were
   * read of it are kept until they are collected, and would be copied before anything is painted over them.
   */
  private canvas(width: number, height: number): Canvas {
    const last = this.lastCanvas;
    if (last?.width !== width) return (this.lastCanvas = createCanvas(width, height));
    last.height = height;
    return last;
  }

  private async bitmap(item: PictureItem, scale: number): Promise<Bitmap<Canvas>> {
    const developing = this.developing(item, scale);
    const image = await this.developed.get(developing.key, async () => {
      const { data, width, height } = await this.raster(item, developing);
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

  private async raster(item: PictureItem, { level, from }: Developing): Promise<Raster> {
    const picture = this.pictures.get(item.file)!;
    const copy = await this.copies.get(`${item.file}|${level}`, async () =>
      copyAt(await this.files.read(item.file), picture, level),
    );
    return from(copy);
  }
}
