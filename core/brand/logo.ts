import { CONTRAST_GRAPHIC, luminanceContrast, MIDDLE_LUMINANCE } from "../colour";
import type { Art } from "../files";
import type { Logo } from "./brand";

/** The side of a square mark that can still be told apart on a screen, in CSS pixels. Common practice: a favicon's. */
const LEAST_SIDE = 16;
/** And the height of a logo with letters in it. Common practice. */
const LEAST_LETTERS = 8;
/** Longer than this times its height, a logo is letters. */
export const LETTERED = 2.4;

/** The least width of a logo on the viewer's screen, in CSS pixels, for a shape of that width over height. */
export function leastWidthOf({ leastWidth }: Pick<Logo, "leastWidth">, ratio: number): number {
  if (leastWidth !== undefined) return leastWidth;
  return ratio >= LETTERED ? LEAST_LETTERS * ratio : LEAST_SIDE * Math.sqrt(Math.min(1, ratio));
}

/** Whether ink of that kind is seen on a ground of that luminance; nothing is known of a file without `art`. */
const isSeenOn = (art: Art | undefined, ground: number): boolean =>
  art === undefined ||
  Math.max(luminanceContrast(art.dark, ground), luminanceContrast(art.light, ground)) >=
    CONTRAST_GRAPHIC;

const isMadeFor = ({ ground }: Logo, groundLuminance: number): boolean =>
  ground === "any" || ground === (groundLuminance > MIDDLE_LUMINANCE ? "light" : "dark");

/** The rule for logos: made for such a ground, and seen on it. `ground` is its relative luminance. */
export const mayStandOn = (logo: Logo, art: Art | undefined, ground: number): boolean =>
  isMadeFor(logo, ground) && isSeenOn(art, ground);

/**
 * The logo of that kind for a ground of that luminance: the one in its own colours where it may stand there,
 * else the one-colour version that may. Undefined where none of them may.
 */
export function logoFor(
  logos: readonly Logo[],
  kind: Logo["kind"],
  groundLuminance: number,
  artOf: (logo: Logo) => Art | undefined = () => undefined,
): Logo | undefined {
  const allowed = logos.filter(
    (logo) =>
      logo.kind === kind &&
      mayStandOn(logo, artOf(logo), groundLuminance) &&
      artOf(logo)?.ground === undefined,
  );
  return allowed.find(({ ink }) => ink === "own") ?? allowed[0];
}
