import { z } from "zod";
import { LEADING, TRACKING } from "../rules";
import { AdjustStyle } from "./adjust-style";
import { ShapeStyle } from "../shape/shape-style";
import { TypeFeature } from "../text";
import { ColourToken } from "./token";

const share = z.number().min(0).max(1);

/** `at` is how far along the gradient, 0..1. */
export const GradientStop = z.object({ at: share, colour: ColourToken, opacity: share.default(1) });

/**
 * Mixed in Oklab. A linear one runs in the direction of `angle`, degrees clockwise, 0 to the right; a
 * radial one from the middle of the box outwards.
 */
export const Gradient = z.object({
  kind: z.enum(["linear", "radial"]),
  angle: z.number().default(90),
  stops: z.array(GradientStop).min(2).max(12),
});
export type Gradient = z.infer<typeof Gradient>;

/** Lengths are em for text and lead pixels for everything else. */
export const Shadow = z.object({
  colour: ColourToken,
  x: z.number().default(0),
  y: z.number().default(0),
  blur: z.number().min(0).default(0),
  opacity: share.default(0.35),
});
export type Shadow = z.infer<typeof Shadow>;

/** Lead pixels; `dash` is painted and empty lengths in turn. */
export const Stroke = z.object({
  colour: ColourToken,
  width: z.number().positive(),
  dash: z.array(z.number().min(0)).max(8).default([]),
  cap: z.enum(["butt", "round", "square"]).default("butt"),
});
export type Stroke = z.infer<typeof Stroke>;

/** Behind the whole text or behind each of its lines; padding and corner are em. */
export const Plate = z.object({
  colour: ColourToken,
  /** How strong it is; at less than 1 what is behind it shows through. */
  opacity: share.optional(),
  padding: z.number().min(0).max(4).optional(),
  corner: z.number().min(0).max(4).optional(),
  per: z.enum(["block", "line"]).optional(),
});

/** How a picture stands in its frame: zoom from 1, pan −1..1 towards its edges, turn in degrees clockwise. */
export const Framing = z.object({
  fit: z.enum(["cover", "contain"]).default("cover"),
  zoom: z.number().min(1).max(8).default(1),
  panX: z.number().min(-1).max(1).default(0),
  panY: z.number().min(-1).max(1).default(0),
  turn: z.number().min(-180).max(180).default(0),
  flipH: z.boolean().default(false),
  flipV: z.boolean().default(false),
});
export type Framing = z.infer<typeof Framing>;

/** Sizes are lead pixels; tracking, padding and gaps are em; turn is degrees clockwise. */
export const Style = z.object({
  colour: ColourToken.optional(),
  gradient: Gradient.optional(),
  stroke: Stroke.optional(),
  shadow: Shadow.optional(),
  blend: z.enum(["normal", "multiply", "screen"]).optional(),
  opacity: share.optional(),
  turn: z.number().min(-180).max(180).optional(),
  /** A role of the brand's typefaces, or a shipped family by its id, which preflight marks. */
  type: z.string().min(1).optional(),
  size: z.number().positive().optional(),
  /** Words are never set smaller than this where there is another way; in proportion on larger and smaller sizes. */
  least: z.number().positive().optional(),
  weight: z.number().int().min(1).max(1000).optional(),
  features: z.array(TypeFeature).max(8).optional(),
  case: z.enum(["as-typed", "upper"]).optional(),
  tracking: z.number().min(TRACKING.least).max(TRACKING.most).optional(),
  /** Along how many degrees of a circle one line runs: upwards when positive, downwards when negative. */
  arc: z.number().min(-360).max(360).optional(),
  leading: z.number().min(LEADING.least).max(LEADING.most).optional(),
  gap: z.number().min(0).max(4).optional(),
  align: z.enum(["start", "left", "centre", "right"]).optional(),
  valign: z.enum(["top", "middle", "bottom"]).optional(),
  /** In how many columns the points of a list stand. */
  columns: z.number().int().min(1).max(4).optional(),
  plate: Plate.optional(),
  outline: z.object({ colour: ColourToken, width: z.number().positive().max(0.5) }).optional(),
  /** Of the marker stroke behind =marked= words, and of ~coloured~ ones. */
  marker: ColourToken.optional(),
  accent: ColourToken.optional(),
  ...ShapeStyle.shape,
  icon: z.string().max(60).optional(),
  frame: ShapeStyle.shape.shape,
  framing: Framing.optional(),
  adjust: AdjustStyle.optional(),
});
export type Style = z.infer<typeof Style>;
