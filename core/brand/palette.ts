import {
  ColourRole,
  Hex,
  hexOf,
  luminance,
  MIDDLE_LUMINANCE,
  sameSpread,
  spreads,
  type Spread,
} from "../colour";
import type { Brand } from "./brand";

/** The colours of one piece, by the part they colour. Full, so that every part can be painted. */
export type Palette = Record<ColourRole, Hex>;

/** The spreads that are pinned to the kit, then all others that read. Kept by brand. */
export function brandSpreads(brand: Brand): Spread[] {
  let all = brandCache.get(brand);
  if (!all) {
    const pinned = brand.spreads.map(wholeSpread(brand));
    const rest = spreads(brand.colours).filter(
      (spread) => !pinned.some((one) => sameSpread(one, spread)),
    );
    brandCache.set(brand, (all = [...pinned, ...rest]));
  }
  return all;
}

const brandCache = new WeakMap<Brand, Spread[]>();

/** A pinned spread without the colours that were taken out of the kit since. */
const wholeSpread =
  ({ colours }: Brand) =>
  (spread: Spread): Spread =>
    Object.fromEntries(Object.entries(spread).filter(([, id]) => hexOf(colours, id) !== undefined));

/** The spread that a piece of this brand takes when it does not choose one. */
export const defaultSpread = (brand: Brand): Spread => brandSpreads(brand)[0] ?? {};

/** The piece's spread over the brand's own colours; parts it leaves open take the default spread's. */
export function paletteOf(brand: Brand, spread: Spread): Palette {
  const { colours } = brand;
  const fallback = defaultSpread(brand);
  const first = colours[0]!.hex;
  const entries = ColourRole.options.map((role) => {
    const hex =
      hexOf(colours, spread[role]) ?? hexOf(colours, fallback[role]) ?? readable(role, first);
    return [role, hex] as const;
  });
  return Object.fromEntries(entries) as Palette;
}

/** For a brand with no readable pair of colours: black or white on its first. */
function readable(role: ColourRole, ground: Hex): Hex {
  if (role === "backdrop" || role.startsWith("on-")) return ground;
  return luminance(ground) > MIDDLE_LUMINANCE ? "#000000" : "#FFFFFF";
}

export interface Resolved {
  hex: Hex;
  /** True when the token was a raw value and so is not the brand's. */
  raw: boolean;
}

/** A colour token: a part of the arrangement, a role of the brand, a colour's id, or a raw hex. */
export function resolveColour(token: string, brand: Brand, palette: Palette): Resolved {
  const role = ColourRole.safeParse(token);
  if (role.success) return { hex: palette[role.data], raw: false };
  const ofRole = brand.colours.find((colour) => colour.role === token);
  const ofBrand = ofRole?.hex ?? hexOf(brand.colours, token);
  if (ofBrand) return { hex: ofBrand, raw: false };
  const raw = Hex.safeParse(token);
  return raw.success ? { hex: raw.data, raw: true } : { hex: palette.headline, raw: false };
}
