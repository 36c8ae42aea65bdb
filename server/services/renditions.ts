import sharp from "sharp";
import type { FileId, PictureFile } from "../../core/files";
import { Cache } from "../../core/cache";
import { copyAt } from "../render/rendition";
import type { FileName } from "../files/store";
import type { ServerContext } from "../context";

/** Bytes; all of them are on the disk too. */
const MOST_KEPT = 48 * 1024 * 1024;

/** Pictures scaled to a width, for screens. Copies of stored ones are made once and stay on disk by content. */
export class Renditions {
  private readonly cache = new Cache<Buffer>(MOST_KEPT, ({ length }) => length);

  constructor(private readonly context: ServerContext) {}

  /** WebP without loss, `width` pixels wide, or the picture's own width when that is less and it is no vector. */
  get(picture: PictureFile, width: number): Promise<Buffer> {
    const wide = picture.vector ? width : Math.min(width, picture.width);
    return this.cache.get(`${picture.id}|${wide}`, () => this.make(picture, wide));
  }

  /** A finished file that is there as a small JPEG, `width` pixels wide at most. */
  ofMade(name: FileName, sha256: FileId, width: number): Promise<Buffer> {
    return this.cache.get(`${sha256}|${width}`, async () => {
      const image = sharp((await this.context.made.read(name))!, { density: 36 });
      const small = image.resize({ width, withoutEnlargement: true }).flatten();
      return small.jpeg({ quality: 84 }).toBuffer();
    });
  }

  private async make(picture: PictureFile, width: number): Promise<Buffer> {
    const { blobs, made } = this.context;
    const name = ["renditions", `${picture.id}-${width}.webp`] as const;
    const ready = await made.read(name);
    if (ready) return ready;
    const { data, ...size } = await copyAt(await blobs.read(picture.id), picture, width);
    const raw = { width: size.width, height: size.height, channels: 4 as const };
    const image = await sharp(data, { raw }).webp({ lossless: true, effort: 1 }).toBuffer();
    await made.write(name, image);
    return image;
  }
}
