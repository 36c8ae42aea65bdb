import type { CrateAnswer, RebrandAnswer, PieceAnswer } from "../core/api";
import { readPalette } from "../core/palette";
import { rasterOf, type Raster } from "../core/picture";
import type { Program } from "../tests/support/browser";
import { quantile, table } from "./figures";

const SIDES = [1600, 1200] as const;
const RUNS = 7;
const PIECES = 200;

/** Reading a palette off a large picture, and giving a crate of many pieces another brand. */
export async function benchKit(program: Program): Promise<void> {
  benchPalette();
  await benchRedress(program);
}

/** Baseline: counting the picture's colours, one by one. */
function benchPalette(): void {
  const picture = screenshot();
  const read = timed(() => readPalette(picture));
  const count = timed(() => countColours(picture));
  const [median, plain] = [quantile(read, 0.5), quantile(count, 0.5)];
  table(`A palette off ${SIDES.join(" × ")} px, ${RUNS} times`, [
    ["read, median (150 ms wanted)", `${median.toFixed(0)} ms`],
    ["counting colours alone, median", `${plain.toFixed(0)} ms`],
    ["ratio of the medians", `${(median / plain).toFixed(1)} ×`],
  ]);
}

/** Flat areas beside a gradient and noise, like a page with a photograph on it. */
function screenshot(): Raster {
  const [width, height] = SIDES;
  const data = new Uint8ClampedArray(width * height * 4);
  const flats = [0xf6efe2, 0x123a3f, 0xedb64a, 0xc4492a];
  for (let i = 0; i < width * height; i++) {
    const [x, y] = [i % width, Math.floor(i / width)];
    const noisy = x > width / 2 && y > height / 3;
    const flat = flats[Math.floor((4 * y) / height)]!;
    const grain = noisy ? (x * 7919 + y * 104_729) % 90 : 0;
    data.set(
      [((flat >> 16) & 255) - grain, ((flat >> 8) & 255) - grain, (flat & 255) - grain, 255],
      i * 4,
    );
  }
  return rasterOf(data, width, height);
}

function countColours({ data }: Raster): Map<number, number> {
  const counts = new Map<number, number>();
  for (let i = 0; i < data.length; i += 4) {
    const colour = (data[i]! << 16) | (data[i + 1]! << 8) | data[i + 2]!;
    counts.set(colour, (counts.get(colour) ?? 0) + 1);
  }
  return counts;
}

function timed(work: () => unknown): number[] {
  return Array.from({ length: RUNS }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
}

/** Baseline: reading the same pieces over the same door. */
async function benchRedress(program: Program): Promise<void> {
  const { id } = await program.ask<CrateAnswer>("/api/crates", {
    name: "Many",
    brand: "quillmere",
  });
  for (let i = 0; i < PIECES; i++)
    await program.ask<PieceAnswer>(`/api/crates/${id}/pieces`, { from: "opening-announcement" });
  const start = performance.now();
  const { pieces } = await program.ask<RebrandAnswer>(`/api/crates/${id}/brand`, {
    brand: "saltlight",
  });
  const changed = performance.now() - start;
  const again = performance.now();
  await program.ask<CrateAnswer>(`/api/crates/${id}`);
  const read = performance.now() - again;
  table(`${pieces.length} pieces given another brand`, [
    ["changed, saved, undoable (1 s wanted)", `${changed.toFixed(0)} ms`],
    ["reading them, over the same door", `${read.toFixed(0)} ms`],
    ["ratio", `${(changed / read).toFixed(1)} ×`],
  ]);
}
