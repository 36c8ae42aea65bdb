import { contrast, type Hex } from "./colour";
import { atLightness } from "./mix";

/** Oklch lightnesses in hundredths of a colour's tints and shades, from nearly white to nearly black. */
export const TINT_STEPS = [97, 92, 84, 74, 64, 54, 44, 34, 25, 17] as const;

/** The colour's tints and shades, lightest first. */
export const tintsOf = (hex: Hex): Hex[] => TINT_STEPS.map((step) => atLightness(hex, step / 100));

/** A colour of a kit or one of its tints is named by an id: `tide`, or `tide/84` at that lightness. */
export const tintId = (id: string, step: number): string => `${id}/${step}`;

/** The id without its tint. */
export const baseId = (id: string): string => id.replace(/\/\d+$/, "");

/** What an id stands for; undefined when there is no such colour. */
export function hexOf(
  colours: readonly { id: string; hex: Hex }[],
  id: string | undefined,
): Hex | undefined {
  if (id === undefined) return undefined;
  const own = colours.find((colour) => colour.id === id);
  if (own) return own.hex;
  const [, of, step] = /^(.+)\/(\d{1,2})$/.exec(id) ?? [];
  const base = colours.find((colour) => colour.id === of);
  return base && tintAt(base.hex, Number(step));
}

/** Tints are asked for with every resolve, and a kit has few. */
function tintAt(hex: Hex, step: number): Hex {
  const key = tintId(hex, step);
  let tint = cache.get(key);
  if (!tint) cache.set(key, (tint = atLightness(hex, step / 100)));
  return tint;
}

const cache = new Map<string, Hex>();

/** An ornament in a tint of its ground is seen, and stays calm. By eye. */
const CALM = 1.5;

/** The id of the tint of a colour that stands out calmly from the colour itself, which may be a tint of `base`. */
export function calmTint({ id, hex }: { id: string; hex: Hex }, base: Hex = hex): string {
  const distance = (step: number) => Math.abs(contrast(tintAt(base, step), hex) - CALM);
  const nearest = [...TINT_STEPS].sort((a, b) => distance(a) - distance(b))[0]!;
  return tintId(baseId(id), nearest);
}
