import { z } from "zod";
import { Box } from "../geometry";
import { Id } from "../id";

/** A part of the frame that a channel shows alone; the named roles must stay inside it. */
export const Crop = Box.extend({
  name: z.string(),
  shape: z.enum(["rect", "circle"]),
  keeps: z.array(z.string()),
});
export type Crop = z.infer<typeof Crop>;

export const Covered = Box.extend({ by: z.string() });
export type Covered = z.infer<typeof Covered>;

/**
 * A destination. All lengths are output pixels at scale 1, except `viewWidth`,
 * which is the width in CSS pixels at which people usually see it.
 */
export const Placement = z.object({
  id: Id,
  name: z.string().min(1),
  channel: z.string(),
  width: z.number().int().min(1).max(20_000),
  height: z.number().int().min(1).max(20_000),
  viewWidth: z.number().positive(),
  use: z.enum(["post", "story", "ad", "cover", "thumbnail", "profile", "poster"]),
  margin: z.number().min(0),
  covered: z.array(Covered).default([]),
  crops: z.array(Crop).default([]),
  slides: z.object({ min: z.number().int(), max: z.number().int() }).optional(),
  maxKB: z.number().positive().optional(),
  formats: z.array(z.string()),
  source: z.string(),
  /** The day on which these facts were last compared with their source. */
  checked: z.iso.date().optional(),
  note: z.string().optional(),
  /** No longer offered; pieces that have it keep it. */
  retired: z.boolean().optional(),
});
export type Placement = z.infer<typeof Placement>;

/** How a placement is found by its name. Undefined for one that nobody knows. */
export type PlacementLookup = (id: string) => Placement | undefined;

export const Catalogue = z.object({
  version: z.literal(1),
  checked: z.string(),
  units: z.string(),
  placements: z.array(Placement),
});
export type Catalogue = z.infer<typeof Catalogue>;
