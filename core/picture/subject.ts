import type { Area } from "../files";
import { area, between, box, hullOf, intersect, type Box } from "../geometry";

/** What a picture shows, in its own pixels: all of it together, and the parts that are seen whole or not at all. */
export interface Subject {
  box: Box;
  parts: readonly Part[];
}

/** A head, or the thing that is shown; `weight` 0..1 says how much it is missed. */
export interface Part {
  kind: Area["kind"];
  box: Box;
  weight: number;
}

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
  // A thing that was found beside faces is mostly their clothes; one that a person drew counts.
  const chosen = [...main, ...things.filter(({ said }) => said || main.length === 0)];
  if (chosen.length === 0) return { box: middleOf(file), parts: [] };
  const parts = chosen.map((one): Part => ({
    kind: one.kind,
    box: one.kind === "face" ? headOf(inPixels(one, file), file) : inPixels(one, file),
    weight: one.weight,
  }));
  return { box: hullOf(parts.map((part) => part.box)), parts };
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
