import type { Point } from "../geometry";

/** A line along a circle, in the lengths that the line was given in. */
export interface Bend {
  /** Of the baseline. */
  radius: number;
  /** The circle's middle, from the top left corner of what the letters reach. */
  centre: Point;
  width: number;
  height: number;
  /** Letters stand on the circle with their feet to its middle, or hang inside it. */
  inside: boolean;
}

interface Line {
  width: number;
  ascent: number;
  descent: number;
}

/** Letters inside a circle have this much of their height left of its radius at the least: else they would run into each other. */
const ROOM = 1.6;

/**
 * A line bent over so many degrees of a circle, at most all of it: upwards when positive, as over an arch, downwards when
 * negative, as in a bowl.
 */
export function bendOf({ width, ascent, descent }: Line, degrees: number): Bend {
  const inside = degrees < 0;
  const wanted = width / ((Math.min(360, Math.abs(degrees)) * Math.PI) / 180);
  const radius = inside ? Math.max(wanted, ROOM * ascent) : wanted;
  const half = Math.min(Math.PI, width / radius / 2);
  const [outer, inner] = inside
    ? [radius + descent, radius - ascent]
    : [radius + ascent, radius - descent];
  const reach = half >= Math.PI / 2 ? outer : outer * Math.sin(half);
  // From the far end of the circle down to where the line ends.
  const height = outer - (half >= Math.PI / 2 ? outer : inner) * Math.cos(half);
  return {
    radius,
    inside,
    width: 2 * reach,
    height,
    centre: { x: reach, y: inside ? height - outer : outer },
  };
}
