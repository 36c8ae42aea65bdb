import { ColourRole, Hex, luminance, spreads, type Spread } from "../colour";
import type { Brand, Logo } from "./brand";

/** The colours of one piece, by the part they colour. Full, so that every part can be painted. */
export type Palette = Record<ColourRole, Hex>;

/** The spread that a piece of this brand takes when it does not choose one. */
export function defaultSpread(brand: Brand): Spread {
  let spread = defaultSpreads.get(brand);
  if (!spread) defaultSpreads.set(brand, (spread = spreads(brand.colours)[0] ?? {}));
  return spread;
}

const defaultSpreads = new WeakMap<Brand, Spread>();

/** The piece's spread over the brand's own colours; parts it leaves open take the default spread's. */
export function paletteOf(brand: Brand, spread: Spread): Palette {
  const byId = new Map(brand.colours.map((colour) => [colour.id, colour.hex]));
  const fallback = defaultSpread(brand);
  const first = brand.colours[0]!.hex;
  const entries = ColourRole.options.map((role) => {
    const hex =
      byId.get(spread[role] ?? "") ?? byId.get(fallback[role] ?? "") ?? readable(role, first);
    return [role, hex] as const;
  });
  return Object.fromEntries(entries) as Palette;
}

/** For a brand with no readable pair of colours: black or white on its first. */
function readable(role: ColourRole, ground: Hex): Hex {
  if (role === "backdrop" || role.startsWith("on-")) return ground;
  return luminance(ground) > 0.18 ? "#000000" : "#FFFFFF";
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
  const ofBrand =
    brand.colours.find((colour) => colour.role === token) ??
    brand.colours.find((colour) => colour.id === token);
  if (ofBrand) return { hex: ofBrand.hex, raw: false };
  const raw = Hex.safeParse(token);
  return raw.success ? { hex: raw.data, raw: true } : { hex: palette.headline, raw: false };
}

/** The logo of that kind for a ground of that luminance: on a light ground the dark version, and back. */
export function logoFor(
  brand: Brand,
  kind: Logo["kind"],
  groundLuminance: number,
): Logo | undefined {
  const ground = groundLuminance > 0.18 ? "light" : "dark";
  const ofKind = brand.logos.filter((logo) => logo.kind === kind);
  return ofKind.find((logo) => logo.ground === ground) ?? ofKind[0];
}
