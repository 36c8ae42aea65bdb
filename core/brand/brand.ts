import { z } from "zod";
import { LEADING, TRACKING } from "../rules";
import { Spread } from "../colour";
import { Hex } from "../colour/colour";
import { FileId, Share } from "../files";
import { Id } from "../id";

export const BrandRole = z.enum(["primary", "secondary", "accent", "ink", "paper", "free"]);
export type BrandRole = z.infer<typeof BrandRole>;

export const BrandColour = z.object({
  id: z.string().min(1),
  name: z.string().trim().min(1, "it needs a name"),
  hex: Hex,
  role: BrandRole,
});
export type BrandColour = z.infer<typeof BrandColour>;

/**
 * One font file of a typeface. `axes` sets a variable font's axes (OpenType tags).
 * Where several faces have the wanted weight, the first that has a character sets it.
 */
export const BrandFace = z.object({
  file: FileId,
  /** Which font of a collection; the first when not given. */
  index: z.number().int().min(0).optional(),
  weight: z.number().int().min(1).max(1000),
  axes: z.record(z.string().length(4), z.number()).default({}),
});
export type BrandFace = z.infer<typeof BrandFace>;

/** `tracking` in em, `leading` as a multiple of the type size. */
export const Typeface = z.object({
  family: z.string().min(1),
  faces: z.array(BrandFace).min(1),
  case: z.enum(["as-typed", "upper"]).default("as-typed"),
  tracking: z.number().min(TRACKING.least).max(TRACKING.most).default(0),
  leading: z.number().min(LEADING.least).max(LEADING.most).optional(),
});
export type Typeface = z.infer<typeof Typeface>;

/**
 * One version of the logo. `ground` is what it may stand on; `ink` says whether it is in its own colours or
 * in one; `clear` is the space to keep round it, as a share of its height; `leastWidth` is in CSS pixels on
 * the viewer's screen, and where a kit does not say it, it follows from the logo's shape.
 */
export const Logo = z.object({
  kind: z.enum(["full", "mark"]),
  ink: z.enum(["own", "one-colour"]).default("own"),
  ground: z.enum(["light", "dark", "any"]),
  file: FileId,
  /** The part of the file that it is, in shares of its sides; what is inked of it all when not given. */
  part: Share.optional(),
  clear: z.number().min(0).max(1).default(0.25),
  leastWidth: z.number().positive().optional(),
});
export type Logo = z.infer<typeof Logo>;

export const Treatment = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("none") }),
  z.object({ kind: z.literal("duotone"), dark: Hex, light: Hex }),
]);
export type Treatment = z.infer<typeof Treatment>;

export const Brand = z.object({
  format: z.literal("zestcrate/brand"),
  version: z.literal(1),
  id: Id,
  name: z.string().trim().min(1, "it needs a name"),
  colours: z.array(BrandColour).min(1),
  typefaces: z.object({ headline: Typeface, text: Typeface, accent: Typeface.optional() }),
  logos: z.array(Logo).default([]),
  /** The profile picture: who speaks, as channels show them in a circle. */
  portrait: FileId.optional(),
  voice: z
    .object({
      handle: z.string().default(""),
      site: z.string().default(""),
      callsToAction: z.array(z.string()).default([]),
      hashtags: z.array(z.string()).default([]),
      /** Words and phrases that this brand never says. */
      avoid: z.array(z.string()).default([]),
      tone: z.string().default(""),
    })
    .prefault({}),
  defaults: z
    .object({
      corner: z.enum(["square", "soft", "round"]).default("square"),
      treatment: Treatment.default({ kind: "none" }),
      /** The least opacity of what is laid between words and a picture, 0..1. */
      plateStrength: z.number().min(0).max(1).default(0),
      /** Times the margin that a placement asks for; never less than that. */
      marginScale: z.number().min(1).max(2).default(1),
    })
    .prefault({}),
  /** Ways of spreading the colours that the brand likes best; they come before all others. */
  spreads: z.array(Spread).max(24).default([]),
});
export type Brand = z.infer<typeof Brand>;

export const typefacesOf = ({ typefaces: { headline, text, accent } }: Brand): Typeface[] =>
  accent ? [headline, text, accent] : [headline, text];

/** The stored pictures that a kit itself names. */
export const brandPictures = ({ logos, portrait }: Pick<Brand, "logos" | "portrait">): FileId[] => [
  ...new Set([...logos.map(({ file }) => file), ...(portrait ? [portrait] : [])]),
];

/** Every file that a brand needs before a piece of it can be laid out. */
export const brandFonts = (brand: Brand): FileId[] => [
  ...new Set(typefacesOf(brand).flatMap(({ faces }) => faces.map(({ file }) => file))),
];

export const brandFiles = (brand: Brand): FileId[] => [
  ...brandFonts(brand),
  ...brandPictures(brand),
];
