import { resolveColour, type Brand, type Palette } from "../brand";
import { CONTRAST_TEXT, contrast, readableTint, type Hex } from "../colour";
import type { Adjust } from "../picture";
import type { ShapeKind } from "../shape";
import { shapeDefaults, type ShapeSpec } from "../shape";
import type { Style } from "../piece";
import type { ResolvedGradient, ResolvedShadow, ShapeNode } from "./resolved";

/** StyleReader up one node's colours and reports those that are not the brand's. */
export class StyleReader {
  constructor(
    private readonly style: Style,
    private readonly brand: Brand,
    private readonly palette: Palette,
    private readonly onRaw: (hex: Hex) => void,
  ) {}

  colour(token: string): Hex {
    const resolved = resolveColour(token, this.brand, this.palette);
    if (resolved.raw) this.onRaw(resolved.hex);
    return resolved.hex;
  }

  get shadow(): ResolvedShadow | undefined {
    const { shadow } = this.style;
    if (!shadow) return undefined;
    const { x, y, blur, opacity } = shadow;
    return { hex: this.colour(shadow.colour), alpha: opacity, x, y, blur };
  }

  get gradient(): ResolvedGradient | undefined {
    const { gradient } = this.style;
    if (!gradient) return undefined;
    const stops = gradient.stops.map(({ at, colour, opacity }) => ({
      at,
      hex: this.colour(colour),
      alpha: opacity,
    }));
    return { kind: gradient.kind, angle: gradient.angle, stops };
  }

  get stroke(): ShapeNode["stroke"] {
    if (!this.style.stroke) return undefined;
    const { colour, ...rest } = this.style.stroke;
    return { ...rest, hex: this.colour(colour) };
  }

  /** What the brand does to its pictures, then what this node asks for. */
  adjust(): Adjust {
    const house = houseAdjust(this.brand);
    const { adjust } = this.style;
    if (!adjust) return house;
    const { duotone, tint, ...plain } = adjust;
    const inks =
      duotone === undefined || duotone === "none"
        ? undefined
        : { dark: this.colour(duotone.dark), light: this.colour(duotone.light) };
    return {
      ...(duotone === undefined ? house : {}),
      ...(inks ? { duotone: inks } : {}),
      ...(tint ? { tint: { hex: this.colour(tint.colour), amount: tint.amount } } : {}),
      ...plain,
    };
  }

  shapeSpec(kind: ShapeKind): ShapeSpec {
    const { corner = 0, points, inner, path } = this.style;
    const own = shapeDefaults[kind as keyof typeof shapeDefaults] ?? { points: 6, inner: 1 };
    return {
      kind,
      corner,
      points: points ?? own.points,
      inner: inner ?? own.inner,
      ...(path ? { path } : {}),
    };
  }

  /**
   * The colour of words that stand out: the given one, else the first of the spread's that reads on the
   * ground, else the tint of the brand's accent that does.
   */
  accent(own: Hex): Hex {
    const { accent } = this.style;
    if (accent) return this.colour(accent);
    const { detail, action, backdrop } = this.palette;
    const usual = [detail, action].find(
      (hex) => hex !== own && contrast(hex, backdrop) >= CONTRAST_TEXT,
    );
    return usual ?? accentTint(this.brand, backdrop) ?? own;
  }

  /** The colour of a marker stroke: the given one, else the first of the spread's on which the words read. */
  marker(own: Hex): Hex {
    const { marker } = this.style;
    if (marker) return this.colour(marker);
    const { plate, action, ornament, backdrop } = this.palette;
    return [plate, action, ornament].find((hex) => contrast(hex, own) >= CONTRAST_TEXT) ?? backdrop;
  }
}

const tints = new WeakMap<Brand, Map<Hex, Hex | undefined>>();

/** Kept by brand and ground: it is asked for with every text. */
function accentTint(brand: Brand, ground: Hex): Hex | undefined {
  let known = tints.get(brand);
  if (!known) tints.set(brand, (known = new Map()));
  if (!known.has(ground)) {
    const accent = brand.colours.find(({ role }) => role === "accent");
    known.set(ground, accent && readableTint(accent.hex, ground, CONTRAST_TEXT));
  }
  return known.get(ground);
}

const houses = new WeakMap<Brand, Adjust>();

/** The same object for the same brand: what has been measured with it is kept by it. */
function houseAdjust(brand: Brand): Adjust {
  let house = houses.get(brand);
  if (!house) {
    const { treatment } = brand.defaults;
    house =
      treatment.kind === "duotone"
        ? { duotone: { dark: treatment.dark, light: treatment.light } }
        : {};
    houses.set(brand, house);
  }
  return house;
}

/** What becomes of a picture with such a style in a brand. */
export const developedAs = (adjust: Style["adjust"], brand: Brand, palette: Palette): Adjust =>
  new StyleReader(adjust ? { adjust } : {}, brand, palette, () => undefined).adjust();
