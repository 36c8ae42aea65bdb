import { z } from "zod";
import { SlotName } from "./filling";
import { Style } from "./style";

export const Role = z.enum([
  "headline",
  "support",
  "body",
  "kicker",
  "quote",
  "byline",
  "price",
  "badge",
  "cta",
  "handle",
  "portrait",
  "site",
  "logo",
  "photo",
  "backdrop",
  "plate",
  "ornament",
  "page-mark",
  "swipe-cue",
  "figure",
]);
export type Role = z.infer<typeof Role>;

/** A box, of a node in lead pixels; it may hang over the frame. One without an area is not shown, and preflight says so. */
export const NodeBox = z.object({
  x: z.number(),
  y: z.number(),
  width: z.number(),
  height: z.number(),
});

/** A price that is said in words, such as “from € 9 a month”, is its figure and what stands before and after that. */
export const PricePart = z.enum(["before", "figure", "after"]);
export type PricePart = z.infer<typeof PricePart>;

/** Where in its frame something stays; by the edges that it is nearest to at the lead size where that is not said. */
export const Pin = z.object({
  h: z.enum(["left", "centre", "right"]).optional(),
  v: z.enum(["top", "middle", "bottom"]).optional(),
});
export type Pin = z.infer<typeof Pin>;

export const Node = z.object({
  id: z.string().min(1).max(60),
  kind: z.enum(["text", "picture", "shape", "icon", "line", "code", "chart"]),
  role: Role,
  slot: SlotName.optional(),
  box: NodeBox,
  /** The plate or picture that it sits on; of a figure, also the words that it keeps with. */
  on: z.string().optional(),
  /** What has the same name here is picked and moved together, and figures of it keep with its words. */
  group: z.string().min(1).max(60).optional(),
  style: Style.default({}),
  importance: z.number().int().min(1).max(5).optional(),
  keep: z.enum(["always", "if-room"]).optional(),
  pin: Pin.optional(),
  locked: z.boolean().optional(),
  hidden: z.boolean().optional(),
  /** Which part of its slot's words it shows; all of them when not given. */
  part: PricePart.optional(),
  /** It stands on every slide of a strip, at its pin on every size, the lead too; or runs across folds. Never stored. */
  strip: z.enum(["running", "across"]).optional(),
  /** It has no place of its own in the composition: the message asked for it, and each size finds a place. */
  unplaced: z.boolean().optional(),
});
export type Node = z.infer<typeof Node>;

/**
 * What one size has of its own of a node. Where a person put it is kept in shares of the frame's sides, so that it stays
 * there when the placement is corrected; it may hang over.
 */
export const LocalChange = Node.omit({ id: true, box: true, group: true, strip: true })
  .extend({ style: Style, place: NodeBox })
  .partial();
export type LocalChange = z.infer<typeof LocalChange>;
