import type { FileId, PictureFile } from "../../core/files";
import type { Bitmap } from "../../core/paint";
import { treatmentKey } from "../../core/picture";
import type { PictureItem } from "../../core/scene";

/** Widths in which pictures are fetched: the next one that is wide enough is used. */
const WIDTHS = [320, 640, 1280, 2560];

/** Pictures as the server has scaled and treated them, fetched when first needed. */
export class Bitmaps {
  private readonly loaded = new Map<string, ImageBitmap>();
  private readonly coming = new Map<string, Promise<void>>();

  constructor(private readonly onLoaded: () => void) {}

  /** The best that is there now; a better one is fetched and announced. `scale` is device pixels a pixel. */
  get(item: PictureItem, file: PictureFile, scale: number): Bitmap<ImageBitmap> | undefined {
    const needed = (item.box.width * scale * file.width) / item.crop.width;
    const wanted = WIDTHS.find((width) => width >= needed) ?? WIDTHS.at(-1)!;
    const key = (width: number) => `${file.id}|${width}|${treatmentKey(item.treatment)}`;
    this.fetch(key(wanted), file.id, wanted, treatmentKey(item.treatment));
    const image =
      this.loaded.get(key(wanted)) ??
      WIDTHS.map((width) => this.loaded.get(key(width))).findLast((bitmap) => bitmap);
    if (!image) return undefined;
    const by = image.width / file.width;
    const { x, y, width, height } = item.crop;
    return { image, source: { x: x * by, y: y * by, width: width * by, height: height * by } };
  }

  private fetch(key: string, id: FileId, width: number, treatment: string): void {
    if (this.loaded.has(key) || this.coming.has(key)) return;
    const loading = this.load(`/api/pictures/${id}/rendition?width=${width}&treatment=${treatment}`)
      .then((bitmap) => {
        this.loaded.set(key, bitmap);
        this.onLoaded();
      })
      // Tried again when it is next painted; until then the ground shows.
      .catch(() => undefined)
      .finally(() => this.coming.delete(key));
    this.coming.set(key, loading);
  }

  private async load(address: string): Promise<ImageBitmap> {
    const response = await fetch(address);
    if (!response.ok) throw new Error(`${address} answered ${response.status}`);
    return createImageBitmap(await response.blob());
  }
}
