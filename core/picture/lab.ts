import { converter } from "culori";
import type { Field } from "./regions";

/** RGB, three bytes a pixel, row after row. */
export interface Thumbnail {
  data: Uint8Array;
  width: number;
  height: number;
}

/** Lightness and the two colour axes of CIELAB. */
export type Colours = readonly [Field, Field, Field];

const toLab = converter("lab65");

export function labOf({ data, width, height }: Thumbnail): Colours {
  const labs = Array.from({ length: width * height }, (_, i) => {
    const part = (channel: number) => data[i * 3 + channel]! / 255;
    return toLab({ mode: "rgb", r: part(0), g: part(1), b: part(2) });
  });
  const axis = (name: "l" | "a" | "b"): Field => ({
    values: Float64Array.from(labs, (lab) => lab[name]),
    width,
    height,
  });
  return [axis("l"), axis("a"), axis("b")];
}

/** How far the colours of two pixels are apart, in CIELAB units. */
export const apart = (colours: Colours, a: number, b: number): number =>
  Math.hypot(...colours.map(({ values }) => values[a]! - values[b]!));
