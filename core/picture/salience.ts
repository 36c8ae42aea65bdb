import { converter } from "culori";
import type { Area } from "../files";

/** RGB, three bytes a pixel, row after row. */
export interface Thumbnail {
  data: Uint8Array;
  width: number;
  height: number;
}

/** What counts as salient is at least so many times as far from the mean colour as the average; from the source. */
const SALIENT = 2;
/** Photographers keep the subject off the edges: the spread of that expectation, as a share of the sides. By eye. */
const CENTRE_SPREAD = 0.33;
/** Pixels of the thumbnail along each edge that tell its ground. */
const EDGE = 3;
/** Pixels of the thumbnail over which it is blurred to either side: finer detail is texture. */
const BLUR_REACH = 2;

/**
 * Where the eye goes first: the core of the largest salient region. Salience is
 * the distance in CIELAB between the picture's mean colour and each pixel slightly blurred, as in “Frequency-tuned
 * Salient Region Detection” (IEEE Conference on Computer Vision and Pattern Recognition, 2009), here weighed by
 * nearness to the middle; and since what reaches an edge is mostly ground, such as a sky, the distance counts from the
 * nearest of the mean and the colours of the four edges (the boundary prior of “Geodesic Saliency Using Background
 * Priors”, European Conference on Computer Vision, 2012). Undefined for a picture in which nothing stands out.
 */
export function findThing(picture: Thumbnail): Area | undefined {
  const salience = salienceOf(picture);
  const mean = salience.reduce((sum, value) => sum + value, 0) / salience.length;
  if (Math.max(...salience) < LEAST_SALIENCE) return undefined;
  const { width, height } = picture;
  const region = largestRegion(salience, width, height, SALIENT * mean);
  if (region.length === 0) return undefined;
  const across = new Float64Array(width);
  const down = new Float64Array(height);
  for (const i of region) {
    across[i % width]! += salience[i]!;
    down[Math.floor(i / width)]! += salience[i]!;
  }
  const [x, y] = [coreOf(across), coreOf(down)];
  return { kind: "thing", x: x.start, y: y.start, width: x.length, height: y.length, weight: 1 };
}

/** Of a region's salience along one axis this much lies in its core; what is beyond is arms, shadow and doubt. By eye. */
const CORE = 0.6;
/** A core is no smaller and no larger than these shares of the side. By eye. */
const LEAST_CORE = 0.18;
const MOST_CORE = 0.46;

/** The stretch about the mean that holds the core, in shares of the side. */
function coreOf(values: Float64Array): { start: number; length: number } {
  const total = values.reduce((a, b) => a + b, 0);
  const quantile = (share: number): number => {
    let sum = 0;
    const at = values.findIndex((value) => (sum += value) >= share * total);
    return (at + 0.5) / values.length;
  };
  const mean = values.reduce((sum, value, i) => sum + value * (i + 0.5), 0) / total / values.length;
  const wide = quantile(0.5 + CORE / 2) - quantile(0.5 - CORE / 2);
  const length = Math.min(MOST_CORE, Math.max(LEAST_CORE, wide));
  const start = Math.min(Math.max(0, mean - length / 2), 1 - length);
  return { start: rounded(start), length: rounded(length) };
}

/** Nothing stands out that is nearer than this to its ground, in CIELAB units: about two just noticeable differences. */
const LEAST_SALIENCE = 5;

const rounded = (share: number): number => Math.round(share * 1000) / 1000;

const toLab = converter("lab65");

function salienceOf({ data, width, height }: Thumbnail): Float64Array {
  const channels = labOf(data).map((channel) => blurredBox(channel, width, height));
  const all = Array.from({ length: width * height }, (_, i) => i);
  const grounds = [
    all,
    all.filter((i) => i < width * EDGE),
    all.filter((i) => i >= width * (height - EDGE)),
    all.filter((i) => i % width < EDGE),
    all.filter((i) => i % width >= width - EDGE),
  ].map((pixels) => channels.map((channel) => meanOf(channel, pixels)));
  return Float64Array.from(all, (i) => {
    const apart = grounds.map((ground) =>
      Math.hypot(...channels.map((channel, c) => channel[i]! - ground[c]!)),
    );
    return Math.min(...apart) * centred((i % width) / width, Math.floor(i / width) / height);
  });
}

const meanOf = (channel: Float64Array, pixels: readonly number[]): number =>
  pixels.reduce((sum, i) => sum + channel[i]!, 0) / pixels.length;

const centred = (x: number, y: number): number =>
  Math.exp(-((x - 0.5) ** 2 + (y - 0.5) ** 2) / (2 * CENTRE_SPREAD ** 2));

/** Lightness and the two colour axes, each of all pixels. */
function labOf(data: Uint8Array): Float64Array[] {
  const labs = Array.from({ length: data.length / 3 }, (_, i) => {
    const part = (channel: number) => data[i * 3 + channel]! / 255;
    return toLab({ mode: "rgb", r: part(0), g: part(1), b: part(2) });
  });
  return (["l", "a", "b"] as const).map((axis) => Float64Array.from(labs, (lab) => lab[axis]));
}

/** The mean of the square of pixels around each; at the edges of those that are there. */
function blurredBox(values: Float64Array, width: number, height: number): Float64Array {
  return Float64Array.from(values, (_, i) => {
    const [x, y] = [i % width, Math.floor(i / width)];
    let [sum, count] = [0, 0];
    for (let v = Math.max(0, y - BLUR_REACH); v <= Math.min(height - 1, y + BLUR_REACH); v++)
      for (let u = Math.max(0, x - BLUR_REACH); u <= Math.min(width - 1, x + BLUR_REACH); u++) {
        sum += values[v * width + u]!;
        count++;
      }
    return sum / count;
  });
}

/** The pixels, by index, of the connected region above a threshold that has the most salience. */
function largestRegion(
  salience: Float64Array,
  width: number,
  height: number,
  threshold: number,
): number[] {
  const seen = new Uint8Array(width * height);
  let [best, most]: [number[], number] = [[], 0];
  for (let start = 0; start < salience.length; start++) {
    if (seen[start] || salience[start]! < threshold) continue;
    const region: number[] = [];
    const waiting = [start];
    seen[start] = 1;
    let sum = 0;
    while (waiting.length > 0) {
      const i = waiting.pop()!;
      region.push(i);
      sum += salience[i]!;
      for (const next of neighbours(i, width, height)) {
        if (seen[next] || salience[next]! < threshold) continue;
        seen[next] = 1;
        waiting.push(next);
      }
    }
    if (sum > most) [best, most] = [region, sum];
  }
  return best;
}

function neighbours(i: number, width: number, height: number): number[] {
  const [x, y] = [i % width, Math.floor(i / width)];
  return [
    ...(x > 0 ? [i - 1] : []),
    ...(x < width - 1 ? [i + 1] : []),
    ...(y > 0 ? [i - width] : []),
    ...(y < height - 1 ? [i + width] : []),
  ];
}
