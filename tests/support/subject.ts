import sharp from "sharp";
import type { Area, FileId } from "../../core/files";
import { scenePictures, type Scene } from "../../core/scene";
import type { Studio } from "../../server/render/studio";
import { drawnFile } from "./strangers";

/*
 * How much of a picture's subject a size really shows, from its pixels alone: in place of a photograph it is given a grey
 * picture whose subject is a board of cells, each of a colour of its own, and the cells that are seen are counted.
 */

const CELLS = 8;
const RED = 220;
const STEP = 28;
const GREY = 96;

/** Where the subject is, as a piece says it. */
export const SUBJECT: Area = {
  kind: "thing",
  x: 0.52,
  y: 0.14,
  width: 0.28,
  height: 0.44,
  weight: 1,
  said: true,
};

/** A picture whose subject can be counted. */
export async function markedPicture(width: number, height: number): Promise<FileId> {
  const data = Buffer.alloc(width * height * 3, GREY);
  const { x: left, y: top } = SUBJECT;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const column = Math.floor((CELLS * (x / width - left)) / SUBJECT.width);
      const row = Math.floor((CELLS * (y / height - top)) / SUBJECT.height);
      if (Math.min(column, row) < 0 || Math.max(column, row) >= CELLS) continue;
      data.set([RED, STEP * column, STEP * row], 3 * (y * width + x));
    }
  return drawnFile(
    await sharp(data, { raw: { width, height, channels: 3 } })
      .png()
      .toBuffer(),
  );
}

/** The shares of the subject that are in the picture's frame, and that lie under something of those; 0..1. */
export interface SeenSubject {
  shown: number;
  covered: number;
}

/** Undefined where the size shows no picture. What only tints a picture, so that words can be read on it, is left out. */
export async function seenSubject(
  studio: Studio,
  scene: Scene,
  scale: number,
  marked: readonly FileId[],
): Promise<SeenSubject | undefined> {
  const pictures = scenePictures(scene).filter(({ file }) => marked.includes(file));
  if (pictures.length === 0) return undefined;
  const bare = cellsIn((await studio.painter.paint({ ...scene, items: pictures }, scale)).data);
  const pictured = new Set(pictures.map(({ node }) => node));
  const items = scene.items.filter(({ kind, node }) => kind !== "path" || !pictured.has(node));
  const whole = cellsIn((await studio.painter.paint({ ...scene, items }, scale)).data);
  const largest = Math.max(...bare);
  const shown = bare.filter((count) => count > largest / 2).length;
  return {
    shown: shown / CELLS ** 2,
    covered: sum(bare) === 0 ? 0 : 1 - sum(whole) / sum(bare),
  };
}

const sum = (counts: readonly number[]): number => counts.reduce((a, b) => a + b, 0);

/** How many pixels of each cell are seen. */
function cellsIn(data: Uint8Array): number[] {
  const counts = new Array<number>(CELLS ** 2).fill(0);
  for (let i = 0; i < data.length; i += 3) {
    const [column, row] = [data[i + 1]! / STEP, data[i + 2]! / STEP].map(Math.round) as [
      number,
      number,
    ];
    const off = [RED - data[i]!, STEP * column - data[i + 1]!, STEP * row - data[i + 2]!];
    if (off.every((by) => Math.abs(by) < 6) && column < CELLS && row < CELLS)
      counts[row * CELLS + column]!++;
  }
  return counts;
}
