import type { Area } from "../files";
import { FIRM_WEIGHT } from "../rules";
import { area, between, box, hullOf, intersect, type Box } from "../geometry";

/**
 * What a picture shows, in its own pixels: all of it together with the air that it looks into, and the parts that are
 * seen whole or not at all. `look` is where its faces look, −1 all to the left … 1 all to the right.
 */
export interface Subject {
  box: Box;
  parts: readonly Part[];
  look?: number;
}

/** A head, or the thing that is shown; `weight` 0..1 says how much it is missed. */
export interface Part {
  kind: Area["kind"];
  box: Box;
  weight: number;
  /** A face, or what a person said; the reach of a thing that was found is a guess. */
  certain: boolean;
}

/** Whether a part is whole or out; others are rather kept than cut. */
export const isFirm = ({ weight }: Pick<Part, "weight">): boolean => weight >= FIRM_WEIGHT;

/** A face's box ends at brow and chin: what its head needs around it, in shares of the face's sides. By eye. */
const HEAD = { above: 0.42, below: 0.22, beside: 0.2 } as const;
/** Beside the largest face one is a passer-by that is smaller than this. Shares of its height; by eye. */
const PASSER_BY = 0.42;
/** Where nothing was found, the middle is kept: so much of either side. */
const MIDDLE = 0.24;

/** The subject of a picture with these areas, found or said by a person; its middle where there is none. */
export function subjectOf(
  file: { width: number; height: number },
  areas: readonly Area[] = [],
): Subject {
  const meant = areas.filter(({ weight }) => weight > 0);
  const faces = meant.filter(({ kind }) => kind === "face");
  const tallest = Math.max(0, ...faces.map(({ height }) => height));
  const main = faces.filter(({ height }) => height >= PASSER_BY * tallest);
  const things = meant.filter(({ kind }) => kind === "thing");
  const chosen = [...main, ...besideFaces(things, main)];
  if (chosen.length === 0) return { box: middleOf(file), parts: [] };
  const parts = chosen.map((one): Part => ({
    kind: one.kind,
    box: one.kind === "face" ? headOf(inPixels(one, file), file) : inPixels(one, file),
    weight: one.weight,
    certain: one.kind === "face" || one.said === true,
  }));
  const air = main.map((face) => lookedInto(inPixels(face, file), face.look ?? 0, file));
  const look = mean(main.map((face) => face.look ?? 0));
  return {
    box: hullOf([...parts.map((part) => part.box), ...air]),
    parts,
    ...(Math.abs(look) >= ASIDE ? { look } : {}),
  };
}

/** A face that looks less far to a side looks at the camera. By trial: landmarks of frontal faces stray so far. */
const ASIDE = 0.25;
/** So much air a face has before it that looks all to a side, in times of its width. Common practice; the amount by eye. */
const LOOKED_INTO = 1.4;

/** A face with the air before it. */
function lookedInto(face: Box, look: number, file: { width: number; height: number }): Box {
  const reach = Math.abs(look) < ASIDE ? 0 : look * LOOKED_INTO * face.width;
  const { x, y, width, height } = face;
  const all = between(x + Math.min(0, reach), y, x + width + Math.max(0, reach), y + height);
  return intersect(all, box(0, 0, file.width, file.height));
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

/** A face that is less sure than this may be none. By trial on photographs and paintings. */
const SURE = 0.9;
/** What a thing beside faces is worth: it is mostly their bodies. By eye. */
const BODY = 0.4;

/** The things beside these faces: one that a person drew counts as ever, one that was found is rather kept than cut. */
function besideFaces(things: readonly Area[], faces: readonly Area[]): Area[] {
  const areSure = faces.some(({ weight, said }) => said || weight >= SURE);
  return things.map((one) => (one.said || !areSure ? one : { ...one, weight: BODY * one.weight }));
}

const inPixels = ({ x, y, width, height }: Area, file: { width: number; height: number }): Box =>
  box(x * file.width, y * file.height, width * file.width, height * file.height);

function headOf({ x, y, width, height }: Box, file: { width: number; height: number }): Box {
  const head = between(
    x - HEAD.beside * width,
    y - HEAD.above * height,
    x + (1 + HEAD.beside) * width,
    y + (1 + HEAD.below) * height,
  );
  return intersect(head, box(0, 0, file.width, file.height));
}

const middleOf = ({ width, height }: { width: number; height: number }): Box =>
  box(0.5 * (1 - MIDDLE) * width, 0.5 * (1 - MIDDLE) * height, MIDDLE * width, MIDDLE * height);

/** The share of a box that the crop shows, 0..1. */
export const shareShown = (crop: Box, of: Box): number =>
  area(of) === 0 ? 1 : area(intersect(crop, of)) / area(of);
