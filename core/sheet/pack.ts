import { box, right, type Box } from "../geometry";

interface Sides {
  width: number;
  height: number;
}

export interface Packed {
  width: number;
  height: number;
  /** In the order of what was given. */
  at: Box[];
}

/** The page's width over its height that is aimed for: about that of a screen. */
const RATIO = 1.55;
const TRIES = 14;

/**
 * Puts boxes on a page without turning or scaling them, `gap` apart: the highest first, each as high up and then as
 * far left as it goes (the “skyline, bottom left” rule of rectangle packing, from memory). Of several page widths, the one
 * that leaves least empty at about a screen's shape.
 */
export function pack(sides: readonly Sides[], gap: number): Packed {
  const widest = Math.max(1, ...sides.map(({ width }) => width));
  const total = sides.reduce((sum, { width, height }) => sum + (width + gap) * (height + gap), 0);
  const usual = Math.sqrt(total * RATIO);
  const tries = Array.from({ length: TRIES }, (_, i) =>
    packedInto(sides, gap, Math.max(widest, usual * (0.85 + (0.6 * i) / TRIES))),
  );
  return tries.reduce((best, one) => (waste(one) < waste(best) ? one : best));
}

/** The page's area, dearer the farther it is from the wanted shape. */
const waste = ({ width, height }: Packed): number =>
  width * height * (1 + 0.35 * Math.abs(Math.log(width / height / RATIO)));

/** The highest edge of what is placed so far, from `x` on for `width`. */
interface Step {
  x: number;
  width: number;
  y: number;
}

function packedInto(sides: readonly Sides[], gap: number, width: number): Packed {
  const order = sides
    .map((side, index) => ({ ...side, index }))
    .sort((a, b) => b.height - a.height || b.width - a.width || a.index - b.index);
  let line: Step[] = [{ x: 0, width: width + gap, y: 0 }];
  const at: Box[] = [];
  for (const { index, ...side } of order) {
    const spot = lowest(line, side.width + gap, width + gap);
    at[index] = box(spot.x, spot.y, side.width, side.height);
    line = raised(line, spot.x, side.width + gap, spot.y + side.height + gap);
  }
  return {
    width: Math.max(0, ...at.map(right)),
    height: Math.max(0, ...at.map((b) => b.y + b.height)),
    at,
  };
}

/** The place nearest to the top, then to the left, where a box of that width rests on the line. */
function lowest(line: readonly Step[], width: number, most: number): { x: number; y: number } {
  const spots = line
    .filter(({ x }) => x + width <= most + 1e-6)
    .map(({ x }) => {
      const under = line.filter((step) => step.x < x + width && step.x + step.width > x + 1e-6);
      return { x, y: Math.max(...under.map(({ y }) => y)) };
    });
  return spots.reduce((best, spot) => (spot.y < best.y - 1e-6 ? spot : best));
}

function raised(line: readonly Step[], x: number, width: number, y: number): Step[] {
  const end = x + width;
  const rest = line.flatMap((step): Step[] => {
    const stepEnd = step.x + step.width;
    if (stepEnd <= x || step.x >= end) return [step];
    const left = step.x < x ? [{ ...step, width: x - step.x }] : [];
    const after = stepEnd > end ? [{ ...step, x: end, width: stepEnd - end }] : [];
    return [...left, ...after];
  });
  return [...rest, { x, width, y }].sort((a, b) => a.x - b.x);
}
