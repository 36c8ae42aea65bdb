import { rgb, type Hex } from "../colour";
import type { Raster } from "../picture";
import { readPalette, type PaletteReading } from "./read";

type Colour = readonly [number, number, number];

const channels = (hex: Hex): Colour => {
  const { r, g, b } = rgb(hex);
  return [r * 255, g * 255, b * 255];
};

/** How far, in levels of 255, a pixel may lie off a mixture of the ground and one flat colour. */
const OFF_MIXTURE = 24;
/** A pixel that is no such mixture is kept whole from this distance off the ground, and fades below it. */
const WHOLE_FROM = 48;

/**
 * The picture with its flat ground taken away. A softened edge is a mixture of the ground and one of the
 * picture's flat colours: it becomes that colour, as far see-through as the mixture had of the ground. What
 * is no such mixture stays as it is. Undefined when the picture stands on no flat ground.
 */
export function withoutGround(
  picture: Raster,
  reading: PaletteReading = readPalette(picture),
): Raster | undefined {
  if (!reading.ground) return undefined;
  const ground = channels(reading.ground.hex);
  const solids = reading.colours.map(({ hex }) => channels(hex));
  const data = new Uint8ClampedArray(picture.data);
  for (let i = 0; i < data.length; i += 4) {
    const pixel: Colour = [data[i]!, data[i + 1]!, data[i + 2]!];
    const { colour, alpha } = unmixed(pixel, ground, solids);
    data.set(colour, i);
    data[i + 3] = Math.round(alpha * data[i + 3]!);
  }
  return { ...picture, data, opaque: false };
}

interface Unmixed {
  colour: Colour;
  alpha: number;
}

function unmixed(pixel: Colour, ground: Colour, solids: Colour[]): Unmixed {
  let best: Unmixed = { colour: pixel, alpha: Math.min(1, apart(pixel, ground) / WHOLE_FROM) };
  let least = OFF_MIXTURE;
  for (const solid of solids) {
    const share = shareOf(pixel, ground, solid);
    const off = apart(pixel, between(ground, solid, share));
    if (off < least) [best, least] = [{ colour: solid, alpha: share }, off];
  }
  return best;
}

/** How much of `solid` a mixture with `ground` has that comes nearest to the pixel, 0..1. */
function shareOf(pixel: Colour, ground: Colour, solid: Colour): number {
  let [along, length] = [0, 0];
  for (const c of [0, 1, 2] as const) {
    along += (pixel[c] - ground[c]) * (solid[c] - ground[c]);
    length += (solid[c] - ground[c]) ** 2;
  }
  return length === 0 ? 0 : Math.min(1, Math.max(0, along / length));
}

const between = (a: Colour, b: Colour, share: number): Colour => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
  a[2] + (b[2] - a[2]) * share,
];

const apart = (a: Colour, b: Colour): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** The picture's outline in one colour; a flat ground is taken away first. Undefined when all of it would be filled. */
export function inOneColour(picture: Raster, hex: Hex): Raster | undefined {
  const cut = picture.opaque ? withoutGround(picture) : picture;
  if (!cut) return undefined;
  const colour = channels(hex);
  const data = new Uint8ClampedArray(cut.data);
  for (let i = 0; i < data.length; i += 4) data.set(colour, i);
  return { ...cut, data };
}
