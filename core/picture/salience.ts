import type { Area } from "../files";
import { barrierFromEdge } from "./barrier";
import { flatEdge, offTheGround } from "./flat";
import { labOf, type Colours, type Thumbnail } from "./lab";
import { aroundEach, extentOf, grownTo, otsu, regionsAbove, type Field } from "./regions";

/** Photographers keep the subject off the edges: the spread of that expectation, as a share of the sides. By eye. */
const CENTRE_SPREAD = 0.4;
/** So much of the sides along each edge tells the ground. From the source. */
const EDGE = 0.1;
/** Nothing stands out whose way from the edge spreads by less than this, all three axes together. In CIELAB units. */
const LEAST_SALIENCE = 36;
/** A region that has this share of the largest one's salience belongs to the thing. By trial. */
const ALSO = 0.3;
/** From the core the thing goes on to where salience falls below this share of the threshold. By trial. */
const GROWN = 0.9;
/** Of the thing's pixels so many beyond either end are specks, and so much of the picture's side is air. By trial. */
const SPECKS = 0.02;
const AIR = 0.03;
/** Tails, handles and shadows reach further than what stands out. By trial. */
const AIR_AROUND = 0.1;
/** A thing fills so much of its box, stands out so far, and grows no further; else it is a scene. By trial. */
const COMPACT = 0.44;
const DISTINCT = 44;
const MOST_GROWN = 1.95;
/** Of a scene the middle is rather kept than cut, without so much of what stands out at either end. By eye. */
const SCENE_WEIGHT = 0.4;
const STREWN = 0.03;
/** A place lies in layers, sky over land over water: so much of how its colours differ is between its rows. By trial. */
const LAYERED = 0.4;
/** What fills a picture that is no place is a thing whose reach is unsure. Its weight. */
const UNSURE = 0.6;

/**
 * What a picture without people shows: the box of what stands out from its edges, found by the barrier that a way from
 * the edge has to cross, together with how far colours are from those of the edges (both after “Minimum Barrier Salient
 * Object Detection at 80 FPS”, IEEE International Conference on Computer Vision, 2015, named from memory), weighed by
 * nearness to the middle and parted from the ground by Otsu's threshold (“A Threshold Selection Method from Gray-Level
 * Histograms”, IEEE Transactions on Systems, Man, and Cybernetics, 1979). What is compact is a thing, whose weight is 1;
 * what fills the picture has less, and a place that lies in layers so little that it may be cut. Undefined for a picture in
 * which nothing stands out, like a pattern.
 */
export function findThing(picture: Thumbnail): Area | undefined {
  const colours = labOf(picture);
  const ground = flatEdge(colours);
  const inked = ground === undefined ? [] : offTheGround(colours, ground);
  const thingAt = (pixels: readonly number[], weight: number, specks: number, air = AIR): Area => ({
    kind: "thing",
    ...extentOf(pixels, picture, { specks, air }),
    weight,
  });
  if (inked.length > 0) return thingAt(inked, 1, 0);
  const { salience, weighed, most } = salienceOf(colours);
  if (most < LEAST_SALIENCE) return undefined;
  const threshold = otsu(weighed);
  const regions = regionsAbove(weighed, threshold);
  const sums = regions.map((region) => region.reduce((sum, i) => sum + weighed.values[i]!, 0));
  const core = regions.filter((_, i) => sums[i]! >= ALSO * Math.max(...sums)).flat();
  const grown = grownTo(core, salience, GROWN * threshold);
  const found = extentOf(grown, picture, { specks: SPECKS, air: AIR });
  const filled = grown.length / (picture.width * picture.height * found.width * found.height);
  const isThing = filled >= COMPACT && most >= DISTINCT && grown.length <= MOST_GROWN * core.length;
  if (isThing) return thingAt(grown, 1, SPECKS, AIR_AROUND);
  return layered(colours) >= LAYERED
    ? thingAt(core, SCENE_WEIGHT, STREWN)
    : thingAt(grown, UNSURE, STREWN);
}

/** What stands out, 0..2 of what stands out most, and the same weighed by nearness to the middle; `most` in CIELAB units. */
function salienceOf(colours: Colours): { salience: Field; weighed: Field; most: number } {
  const [{ width, height }] = colours;
  const blurred = colours.map((axis) => ({ ...axis, values: aroundEach(axis, mean) }));
  const barriers = blurred.map(({ values }) => barrierFromEdge(values, width, height));
  const barrier = barriers[0]!.map((value, i) => value + barriers[1]![i]! + barriers[2]![i]!);
  const most = Math.max(...barrier);
  const apartness = offTheEdges(colours);
  const values = barrier.map((value, i) => value / Math.max(most, 1) + apartness[i]!);
  const weighed = values.map(
    (value, i) => value * centred((i % width) / width, Math.floor(i / width) / height),
  );
  return { salience: { values, width, height }, weighed: { values: weighed, width, height }, most };
}

/** How far each pixel is from the mean colours of the edges, the one left out that it is furthest from; 0..1. */
function offTheEdges(colours: Colours): Float64Array {
  const [{ width, height }] = colours;
  const depth = Math.max(2, Math.round(EDGE * Math.min(width, height)));
  const all = Array.from({ length: width * height }, (_, i) => i);
  const edges = [
    all.filter((i) => i < width * depth),
    all.filter((i) => i >= width * (height - depth)),
    all.filter((i) => i % width < depth),
    all.filter((i) => i % width >= width - depth),
  ].map((pixels) => {
    const means = colours.map(({ values }) => mean(pixels.map((i) => values[i]!)));
    const far = all.map((i) => Math.hypot(...colours.map((c, k) => c.values[i]! - means[k]!)));
    const furthest = Math.max(...far, 1);
    return far.map((value) => value / furthest);
  });
  return Float64Array.from(all, (i) => {
    const far = edges.map((edge) => edge[i]!);
    return (far.reduce((a, b) => a + b, 0) - Math.max(...far)) / (edges.length - 1);
  });
}

/** The share of the spread of a picture's colours that lies between its rows, 0..1. */
function layered(colours: Colours): number {
  let [all, between] = [0, 0];
  for (const { values, width, height } of colours) {
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    for (const value of values) all += (value - mean) ** 2;
    for (let y = 0; y < height; y++) {
      const row = values.subarray(y * width, (y + 1) * width);
      between += width * (row.reduce((a, b) => a + b, 0) / width - mean) ** 2;
    }
  }
  return all === 0 ? 1 : between / all;
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

const centred = (x: number, y: number): number =>
  Math.exp(-((x - 0.5) ** 2 + (y - 0.5) ** 2) / (2 * CENTRE_SPREAD ** 2));
