import { z } from "zod";

export const ShapeKind = z.enum([
  "rectangle",
  "pill",
  "ellipse",
  "diamond",
  "polygon",
  "star",
  "burst",
  "speech",
  "arrow",
  "line",
  "leaf",
  "pebble",
  "blob",
  "wave-edge",
  "waves",
  "dots",
  "stripes",
  "rays",
  "arcs",
  "ticket",
  "arch",
  "path",
  /** The brand's own mark in one colour; a pebble where it has none. */
  "emblem",
]);
export type ShapeKind = z.infer<typeof ShapeKind>;

/** The largest path that is read: more is a drawing, not a shape. */
const MOST_PATH = 20_000;
const PATH_DATA = /^[MmLlHhVvCcSsQqTtAaZz0-9eE+\-.,\s]+$/;

/** Which outline a box has. `corner` is lead pixels, `points` the corners of a polygon, star or burst, or how many rays or arcs. */
export const ShapeStyle = z.object({
  shape: ShapeKind.optional(),
  corner: z.number().min(0).optional(),
  points: z.number().int().min(3).max(60).optional(),
  /** How far a star's inner corners lie from its middle, as a share of the outer ones. */
  inner: z.number().min(0.1).max(0.99).optional(),
  /** SVG path data, and the box that it is drawn in. */
  path: z
    .object({
      d: z.string().max(MOST_PATH).regex(PATH_DATA, "this is not SVG path data"),
      width: z.number().positive(),
      height: z.number().positive(),
    })
    .optional(),
});
export type ShapeStyle = z.infer<typeof ShapeStyle>;
