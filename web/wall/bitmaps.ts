import { LRUCache } from "lru-cache";
import type { FileId, PictureFile } from "../../core/files";
import type { Bitmap } from "../../core/paint";
import {
  adjust,
  adjustKey,
  develop,
  draftLevel,
  rasterOf,
  type Developing,
  type Raster,
} from "../../core/picture";
import type { PictureItem } from "../../core/scene";

/** After this long without a change, in milliseconds, pictures are developed at their exact size. */
const STILL = 60;
const MOST_DEVELOPED = 96;
/** Of copies from the server; some dozen photographs at the size of a screen. */
const MOST_BYTES = 192 * 1024 * 1024;

/** A picture to paint; a draft stands in until it is exact. */
type Developed = Bitmap<OffscreenCanvas> & { exact: boolean };

interface Wanted {
  item: PictureItem;
  file: PictureFile;
  developing: Developing;
}

/**
 * Pictures as they are painted, developed here from copies that the server has scaled. While something
 * changes, a draft of the whole picture stands in; once it is still, the exact pixels take its place.
 */
export class Bitmaps {
  private readonly copies = new LRUCache<string, Raster>({
    maxSize: MOST_BYTES,
    sizeCalculation: ({ data }) => data.byteLength,
  });
  private readonly coming = new Map<string, Promise<void>>();
  private readonly developed = new Map<string, OffscreenCanvas>();
  private readonly wanted = new Map<string, Wanted>();
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly onBetter: () => void) {}

  /** The best that is there now; a better one is made and announced. `scale` is device pixels a pixel. */
  get(item: PictureItem, file: PictureFile, scale: number): Developed | undefined {
    const developing = develop(file, item, scale);
    const image = this.developed.get(developing.key);
    if (image) {
      // Moved to the end: the one that was not used for longest goes first.
      this.developed.delete(developing.key);
      this.developed.set(developing.key, image);
      return { image, source: whole(image), at: developing.at, exact: true };
    }
    this.wanted.set(developing.key, { item, file, developing });
    this.fetch(file, developing.level);
    this.developSoon();
    return this.draft(item, file, developing);
  }

  /** Answers when everything that was asked for is there and developed (or cannot be had). */
  async idle(): Promise<void> {
    while (this.coming.size > 0) await Promise.all(this.coming.values());
    clearTimeout(this.timer);
    this.timer = undefined;
    while (this.developNext());
  }

  private draft(item: PictureItem, file: PictureFile, { at }: Developing): Developed | undefined {
    const { turn, flipH, flipV, crop } = item.view;
    const level = draftLevel(file);
    const copy = this.copies.get(copyKey(file.id, level));
    if (!copy || turn !== 0 || flipH || flipV) return undefined;
    const key = `draft|${copyKey(file.id, level)}|${adjustKey(item.adjust)}`;
    let image = this.developed.get(key);
    if (!image) {
      const data = new Uint8ClampedArray(copy.data);
      adjust({ ...copy, data }, { ...item.adjust, grain: undefined, vignette: undefined }, 1);
      this.keep(key, (image = canvasOf({ ...copy, data })));
    }
    const by = copy.width / file.width;
    const source = {
      x: crop.x * by,
      y: crop.y * by,
      width: crop.width * by,
      height: crop.height * by,
    };
    return { image, source, at, exact: false };
  }

  private developSoon(): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.developInTurn(), STILL);
  }

  /** One at a time, so that a key that is pressed meanwhile does not wait for all. */
  private developInTurn(): void {
    this.timer = undefined;
    if (this.developNext()) this.timer = setTimeout(() => this.developInTurn(), 0);
  }

  /** False when there is nothing left that could be developed. */
  private developNext(): boolean {
    for (const [key, { item, file, developing }] of this.wanted) {
      const copy = this.copies.get(copyKey(item.file, developing.level));
      if (!copy) continue;
      this.wanted.delete(key);
      this.keep(key, canvasOf(developing.from(copy)));
      // Small ones are developed at once; for large ones a draft helps while something changes.
      if (developing.level > draftLevel(file) / 2) this.fetch(file, draftLevel(file));
      this.onBetter();
      return true;
    }
    return false;
  }

  private keep(key: string, image: OffscreenCanvas): void {
    const [oldest] = this.developed.keys();
    if (this.developed.size >= MOST_DEVELOPED && oldest !== undefined)
      this.developed.delete(oldest);
    this.developed.set(key, image);
  }

  private fetch(file: PictureFile, level: number): void {
    const key = copyKey(file.id, level);
    if (this.copies.has(key) || this.coming.has(key)) return;
    const loading = load(file.id, level)
      .then((copy) => {
        this.copies.set(key, copy);
        this.developSoon();
        this.onBetter();
      })
      // Tried again when it is next painted; until then the ground shows.
      .catch(() => undefined)
      .finally(() => this.coming.delete(key));
    this.coming.set(key, loading);
  }
}

const copyKey = (id: FileId, level: number): string => `${id}|${level}`;

const whole = ({ width, height }: OffscreenCanvas) => ({ x: 0, y: 0, width, height });

async function load(id: FileId, level: number): Promise<Raster> {
  const address = `/api/pictures/${id}/rendition?width=${level}`;
  const response = await fetch(address);
  if (!response.ok) throw new Error(`${address} answered ${response.status}`);
  const options = { colorSpaceConversion: "none", premultiplyAlpha: "none" } as const;
  const bitmap = await createImageBitmap(await response.blob(), options);
  const { width, height } = bitmap;
  const context = new OffscreenCanvas(width, height).getContext("2d", {
    willReadFrequently: true,
  })!;
  context.drawImage(bitmap, 0, 0);
  const { data } = context.getImageData(0, 0, width, height);
  return rasterOf(data, width, height);
}

function canvasOf({ data, width, height }: Raster): OffscreenCanvas {
  const canvas = new OffscreenCanvas(width, height);
  const image = new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width, height);
  canvas.getContext("2d")!.putImageData(image, 0, 0);
  return canvas;
}
