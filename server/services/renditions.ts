import { readFile } from "node:fs/promises";
import { join } from "node:path";
import sharp from "sharp";
import type { Treatment } from "../../core/brand";
import type { PictureFile } from "../../core/files";
import { treatmentKey } from "../../core/picture";
import { writeWhole } from "../files/blobs";
import { render } from "../render/rendition";
import type { Surroundings } from "./services";

const MOST_KEPT = 80;

/** Whole pictures, treated and scaled to a width, for screens. Each is made once and kept on disk by content. */
export class Renditions {
  private readonly kept = new Map<string, Promise<Buffer>>();

  constructor(private readonly around: Surroundings) {}

  /** WebP without loss, `width` pixels wide, or the picture's own width when that is less and it is no vector. */
  get(picture: PictureFile, width: number, treatment: Treatment): Promise<Buffer> {
    const wide = picture.vector ? width : Math.min(width, picture.width);
    const key = `${picture.id}|${wide}|${treatmentKey(treatment)}`;
    let made = this.kept.get(key);
    if (!made) {
      made = this.make(picture, wide, treatment);
      made.catch(() => this.kept.delete(key));
      const [oldest] = this.kept.keys();
      if (this.kept.size >= MOST_KEPT && oldest !== undefined) this.kept.delete(oldest);
      this.kept.set(key, made);
    }
    return made;
  }

  private async make(picture: PictureFile, width: number, treatment: Treatment): Promise<Buffer> {
    const name = `${picture.id}-${width}-${treatmentKey(treatment)}.webp`;
    const path = join(this.around.folder, "renditions", name);
    const kept = await readFile(path).catch(() => undefined);
    if (kept) return kept;
    const image = await this.render(picture, width, treatment);
    await writeWhole(path, image);
    return image;
  }

  private async render(picture: PictureFile, width: number, treatment: Treatment): Promise<Buffer> {
    const pixels = await render(await this.around.blobs.read(picture.id), {
      crop: { x: 0, y: 0, width: picture.width, height: picture.height },
      width,
      height: Math.max(1, Math.round((width * picture.height) / picture.width)),
      vector: picture.vector,
      treatment,
    });
    const raw = { width: pixels.width, height: pixels.height, channels: 4 as const };
    return sharp(pixels.data, { raw }).webp({ lossless: true, effort: 1 }).toBuffer();
  }
}
