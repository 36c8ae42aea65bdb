import { converter, type Oklab } from "culori";
import { difference, type Hex } from "../colour";
import type { Raster } from "../picture";

/** A colour that a picture has in flat areas; `share` of those areas, 0..1. */
export interface FoundColour {
  hex: Hex;
  share: number;
}

/** What was read off a picture: the ground it stands on, if there is one, and its colours, largest first. */
export interface PaletteReading {
  ground: FoundColour | undefined;
  colours: FoundColour[];
}

/** Neighbours that differ by no more than this in each channel belong to one flat area: JPEG ripples stay below. */
const FLAT = 4;
/** A flat area's colour stands in at least this share of all that is flat. */
const LEAST_SHARE = 0.004;
/**
 * This much of a cluster has its commonest colour exactly, and this much lies next to it: gradients are
 * spread out, and even the calmest sky of a photograph is never of one value.
 */
const LEAST_EXACT = 0.25;
const LEAST_DENSITY = 0.55;
const MOST_COLOURS = 10;
/** Two colours nearer than this, by CIEDE2000, are one that was printed, scaled or packed. */
const TWINS = 5;
/** Clusters are this far apart, in Oklab. */
const APART = 0.045;

/**
 * Reads the colours of a logo or a screenshot. Only flat areas count, so that softened edges,
 * gradients and photographs propose nothing; their exact commonest value is answered. Clusters are
 * made in Oklab, near twins are joined by CIEDE2000.
 */
export function readPalette(picture: Raster): PaletteReading {
  const flat = flatPixels(picture);
  if (flat.length === 0) return { ground: undefined, colours: [] };
  const found = joined(clustersOf(flat).filter(isFlat));
  const all = found.map(({ hex, count }) => ({ hex, share: count / flat.length }));
  const ground = groundOf(picture, all);
  const colours = all.filter((colour) => colour !== ground && colour.share >= LEAST_SHARE);
  return { ground, colours: colours.slice(0, MOST_COLOURS) };
}

/** 24-bit colours of the pixels whose neighbours to the right and below are alike, two pixels deep. */
function flatPixels({ data, width, height }: Raster): Uint32Array {
  const flat = new Uint32Array(width * height);
  const words = wordsOf(data);
  let count = 0;
  const near = (i: number, j: number): boolean => {
    const apart = data[i]! - data[j]!;
    return apart <= FLAT && apart >= -FLAT;
  };
  const alike = (i: number, j: number): boolean =>
    near(i, j) && near(i + 1, j + 1) && near(i + 2, j + 2);
  for (let y = 0; y < height - 2; y++) {
    for (let x = 0; x < width - 2; x++) {
      const i = (y * width + x) * 4;
      if (data[i + 3]! < 250) continue;
      const right = i + 8;
      const below = i + width * 8;
      const word = words[i >> 2];
      // Most of a logo or a page is of exactly one value, which is one comparison a neighbour.
      const exact = word === words[right >> 2] && word === words[below >> 2];
      if (exact || (alike(i, right) && alike(i, below) && alike(right, below)))
        flat[count++] = (data[i]! << 16) | (data[i + 1]! << 8) | data[i + 2]!;
    }
  }
  return flat.subarray(0, count);
}

/** The pixels as one number each. */
const wordsOf = (data: Uint8ClampedArray): Uint32Array =>
  data.byteOffset % 4 === 0
    ? new Uint32Array(data.buffer, data.byteOffset, data.length / 4)
    : new Uint32Array(data.slice().buffer);

interface Cluster {
  hex: Hex;
  count: number;
  exact: number;
  density: number;
}

const isFlat = ({ exact, density }: Cluster): boolean =>
  exact >= LEAST_EXACT && density >= LEAST_DENSITY;

interface Bin {
  bin: number;
  count: number;
}

/** 5 bits a channel: 8 levels to a bin. */
const binOf = (colour: number): number =>
  ((colour >> 9) & 0x7c00) | ((colour >> 6) & 0x3e0) | ((colour >> 3) & 0x1f);
const BINS = 1 << 15;
/** Bins beyond these hold so little that they cannot be a colour of their own. */
const MOST_BINS = 600;

function clustersOf(flat: Uint32Array): Cluster[] {
  const counts = new Uint32Array(BINS);
  for (const colour of flat) counts[binOf(colour)]!++;
  const bins: Bin[] = [];
  counts.forEach((count, bin) => count > 0 && bins.push({ bin, count }));
  bins.sort((a, b) => b.count - a.count || a.bin - b.bin);
  const centres: { lab: Oklab; count: number }[] = [];
  const owner = new Int16Array(BINS).fill(-1);
  for (const { bin, count } of bins.slice(0, MOST_BINS)) {
    const lab = labOfBin(bin);
    let index = centres.findIndex((centre) => apart(centre.lab, lab) < APART);
    if (index < 0) index = centres.push({ lab, count: 0 }) - 1;
    centres[index]!.count += count;
    owner[bin] = index;
  }
  return peaksOf(
    flat,
    owner,
    centres.map(({ count }) => count),
  );
}

const toLab = converter("oklab");

function labOfBin(bin: number): Oklab {
  const level = (part: number): number => ((part & 0x1f) * 8 + 4) / 255;
  return toLab({ mode: "rgb", r: level(bin >> 10), g: level(bin >> 5), b: level(bin) });
}

const apart = (a: Oklab, b: Oklab): number => Math.hypot(a.l - b.l, a.a - b.a, a.b - b.b);

/** Near its commonest colour: what packing and scaling make of one flat value. */
const NEAR = 4;

/** The commonest exact colour of each cluster, and how much of the cluster lies near it. */
function peaksOf(flat: Uint32Array, owner: Int16Array, counts: number[]): Cluster[] {
  const exact = counts.map(() => new Map<number, number>());
  // Flat areas are long runs of one value, so each run is looked up once.
  for (let i = 0, end = 0; i < flat.length; i = end) {
    const colour = flat[i]!;
    for (end = i + 1; flat[end] === colour; end++);
    const index = owner[binOf(colour)]!;
    if (index >= 0) exact[index]!.set(colour, (exact[index]!.get(colour) ?? 0) + end - i);
  }
  return exact.map((colours, index) => {
    let [peak, most] = [0, 0];
    for (const [colour, count] of colours) if (count > most) [peak, most] = [colour, count];
    let near = 0;
    for (const [colour, count] of colours) if (isNear(colour, peak)) near += count;
    const count = counts[index]!;
    return { hex: hexOf(peak), count, exact: most / count, density: near / count };
  });
}

const isNear = (a: number, b: number): boolean =>
  [16, 8, 0].every((shift) => Math.abs(((a >> shift) & 255) - ((b >> shift) & 255)) <= NEAR);

const hexOf = (colour: number): Hex => `#${colour.toString(16).padStart(6, "0")}`;

/** Near twins together under the name of the commoner, largest first. */
function joined(clusters: Cluster[]): Cluster[] {
  const kept: Cluster[] = [];
  for (const cluster of [...clusters].sort((a, b) => b.count - a.count)) {
    const twin = kept.find(({ hex }) => difference(hex, cluster.hex) < TWINS);
    if (twin) twin.count += cluster.count;
    else kept.push({ ...cluster });
  }
  return kept;
}

/** The colour that most of the picture's edge has is what it stands on. */
const LEAST_OF_EDGE = 0.5;

function groundOf(
  { data, width, height }: Raster,
  found: readonly FoundColour[],
): FoundColour | undefined {
  const edge: number[] = [];
  const take = (x: number, y: number) => edge.push((y * width + x) * 4);
  for (let x = 0; x < width; x++) for (const y of [0, height - 1]) take(x, y);
  for (let y = 0; y < height; y++) for (const x of [0, width - 1]) take(x, y);
  const solid = edge.filter((i) => data[i + 3]! >= 250);
  if (solid.length < LEAST_OF_EDGE * edge.length) return undefined;
  const colourAt = (i: number) => (data[i]! << 16) | (data[i + 1]! << 8) | data[i + 2]!;
  return found.find(({ hex }) => {
    const colour = parseInt(hex.slice(1), 16);
    return solid.filter((i) => isNear(colourAt(i), colour)).length >= LEAST_OF_EDGE * edge.length;
  });
}
