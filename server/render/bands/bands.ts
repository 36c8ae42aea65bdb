import { Cache } from "../../../core/cache";
import { area, bottom } from "../../../core/geometry";
import { pixelBox } from "../../../core/picture";
import { scenePictures, type Scene, type SceneItem } from "../../../core/scene";
import { encodePixels } from "../encode";
import { joinJpegs } from "./jpeg";
import { Outlines } from "./outlines";
import { joinPngBands, pngBand } from "./png";
import { isStraight, reach, type Rows } from "./reach";

/** Formats of which pieces can be put together. */
type BandFormat = "jpeg" | "png";

/** Bytes of bands that each thread keeps, as they are encoded. */
const MOST_KEPT = 24 * 1024 * 1024;
/** A band begins where a block of an encoder does: of 8 pixels, of which colour has one for two. */
const BLOCK = 16;
/**
 * A picture is cut into about so many. Of 12 a quarter of the rows are made anew for a sibling, of 4 it were two fifths; each
 * costs an encoder a beginning, and a PNG of 12 is a hundredth larger than whole.
 */
const USUAL = 12;
/** Pixels below which nothing is cut. */
const FEW = 250_000;

/** Paints some rows of a scene; RGB. */
type PaintRows = (scene: Scene, rows: Rows) => Promise<Buffer>;

/** An item, and the rows that it may leave something on. */
interface Placed {
  item: SceneItem;
  rows: Rows;
  name: string;
}

interface Band {
  rows: Rows;
  /** What stands on it. */
  items: Placed[];
  /** The same for bands that look the same. */
  key: string;
}

/**
 * Makes pictures band by band. Siblings have their photograph in common, or their words: a band on which the same things
 * stand as on one before is not painted and not encoded again. What comes of a scene depends on the scene alone.
 */
export class Bands {
  private readonly made = new Cache<Buffer>(MOST_KEPT, ({ length }) => length);
  private readonly outlines = new Outlines();

  async encode(scene: Scene, format: BandFormat, scale: number, paint: PaintRows): Promise<Buffer> {
    const [width, height] = [Math.round(scene.width * scale), Math.round(scene.height * scale)];
    const bands = this.bandsOf(scene, format, scale, width, height);
    const anew = bands.filter(({ key }) => !this.made.has(key));
    const needed = rowsFor(anew, height);
    let painted: Promise<Buffer> | undefined;
    const pixels = async ({ rows }: Band): Promise<Buffer> => {
      painted ??= paint(withItemsOf(scene, anew), needed);
      const at = (row: number) => (row - needed.top) * 3 * width;
      return (await painted).subarray(at(rows.top), at(rows.bottom));
    };
    const encoded = await Promise.all(
      bands.map((band) =>
        this.made.get(band.key, async () => encodeBand(await pixels(band), width, format)),
      ),
    );
    return format === "jpeg" ? joinJpegs(encoded, height) : joinPngBands(encoded, width, height);
  }

  clear(): void {
    this.made.clear();
  }

  private bandsOf(
    scene: Scene,
    format: BandFormat,
    scale: number,
    width: number,
    height: number,
  ): Band[] {
    const items: Placed[] = scene.items.map((item) => ({
      item,
      name: this.nameOf(item),
      rows: reach(item, this.outlines, scale),
    }));
    const about = [format, scale, width, height, scene.ground];
    return cut(scene, scale, width, height).map((rows) => {
      const on = items.filter((one) => one.rows.top < rows.bottom && one.rows.bottom > rows.top);
      return {
        rows,
        items: on,
        key: [...about, rows.top, rows.bottom, ...on.map(({ name }) => name)].join(),
      };
    });
  }

  /** Another for items that look otherwise. Nothing is painted of the text that letters stand for. */
  private nameOf(item: SceneItem): string {
    if (item.kind !== "glyphs") return JSON.stringify(item);
    const { text: _text, runs: _runs, ...painted } = item;
    const glyphs = item.glyphs.map((glyph) => ({
      ...glyph,
      outline: this.outlines.of(glyph.outline).name,
    }));
    return JSON.stringify({ ...painted, glyphs });
  }
}

/** A scene with what stands on some of its bands alone. */
function withItemsOf(scene: Scene, bands: readonly Band[]): Scene {
  const on = new Set(bands.flatMap(({ items }) => items.map(({ item }) => item)));
  return { ...scene, items: scene.items.filter((item) => on.has(item)) };
}

/** The rows of bands, and of what would have its edges softened otherwise if it were cut through. */
function rowsFor(bands: readonly Band[], height: number): Rows {
  const whole = bands.flatMap(({ items }) => items.filter(({ item }) => !isStraight(item)));
  const all = [...bands, ...whole].map(({ rows }) => rows);
  return {
    top: Math.max(0, Math.min(...all.map(({ top }) => top))),
    bottom: Math.min(height, Math.max(...all.map(({ bottom }) => bottom))),
  };
}

/** All but the last have as many rows, whole blocks of them. */
function cut(scene: Scene, scale: number, width: number, height: number): Rows[] {
  const rows = width * height <= FEW ? height : rowsOf(scene, scale, height);
  return Array.from({ length: Math.ceil(height / rows) }, (_, index) => ({
    top: index * rows,
    bottom: Math.min(height, (index + 1) * rows),
  }));
}

/** A cut is where the largest picture begins or ends: what varies of a piece, mostly varies on one side of that. */
function rowsOf(scene: Scene, scale: number, height: number): number {
  const usual = blocks(height / USUAL);
  const boxes = scenePictures(scene).map(({ box }) => pixelBox(box, scale));
  const [largest] = boxes.sort((a, b) => area(b) - area(a));
  if (!largest) return usual;
  const edge = [largest.y, bottom(largest)].find((at) => at > usual / 2 && at < height);
  return edge === undefined ? usual : blocks(edge / Math.max(1, Math.round(edge / usual)));
}

const blocks = (rows: number): number => Math.ceil(rows / BLOCK) * BLOCK;

function encodeBand(data: Buffer, width: number, format: BandFormat): Promise<Buffer> {
  if (format === "png") return pngBand(data, width);
  return encodePixels({ data, width, height: data.length / width / 3, channels: 3 }, format);
}
