import { z } from "zod";
import { Spread } from "../colour";
import { FileId } from "../files";
import { Id } from "../id";
import { Filling, SlotName } from "./filling";
import { LayoutId } from "./layout-id";
import { LIMITS } from "./limits";
import { Node, NodeBox, Pin, Role } from "./node";
import { Size } from "./size";
import { Style } from "./style";

/** What a slide says in the order of the telling. */
export const SlideRole = z.enum(["title", "context", "point", "proof", "summary", "ask"]);
export type SlideRole = z.infer<typeof SlideRole>;

/** Findings that a person called fine, by size, kind and node. */
export const Fine = z.array(z.string().max(300)).max(500);

/** A slide after the first: what it has of its own. Brand, sizes and everything else are the strip's. */
export const Slide = z.object({
  id: Id,
  role: SlideRole.optional(),
  message: z.record(SlotName, Filling),
  arrangement: z.array(Node).max(LIMITS.nodes).default([]),
  /** Other colours than the strip's. */
  spread: Spread.optional(),
  sizes: z
    .array(Size.omit({ own: true }))
    .max(LIMITS.sizes)
    .default([]),
  shown: z.record(z.string(), LayoutId).optional(),
  fine: Fine.optional(),
});
export type Slide = z.infer<typeof Slide>;

/** What stands at the same spot on every slide. */
export const RunningKind = z.enum([
  "handle",
  "portrait",
  "site",
  "logo",
  "line",
  "page-mark",
  "swipe-cue",
]);
export type RunningKind = z.infer<typeof RunningKind>;

/** How a page mark says which of how many: 3/8, a dot for each, or a bar along the edge that grows. */
export const PageMarkForm = z.enum(["number", "dots", "bar"]);
export type PageMarkForm = z.infer<typeof PageMarkForm>;

/** `text` is its words, where they are not the brand's or counted; on the first and last slide it may be absent. */
export const Running = z.object({
  kind: RunningKind,
  pin: Pin,
  text: z.string().max(200).optional(),
  /** Of a page mark, in another form than a number; of very many slides dots are a number too. */
  form: PageMarkForm.optional(),
  first: z.boolean().default(true),
  last: z.boolean().default(true),
  /** Slides that go without it, by their ids. */
  without: z.array(Id).max(LIMITS.slides).default([]),
});
export type Running = z.infer<typeof Running>;

/**
 * A picture, a shape or a line of words that runs across folds, under the slides' own words. Across in slides from the first one's left edge, down in
 * shares of the height.
 */
export const Across = z.object({
  id: z.string().min(1).max(60),
  kind: z.enum(["picture", "shape", "line", "icon", "text"]),
  picture: FileId.optional(),
  text: z.string().max(200).optional(),
  /** How words are set where the style does not say: what they were on their slide. */
  role: Role.optional(),
  alt: z.string().max(1000).optional(),
  at: NodeBox,
  style: Style.default({}),
});
export type Across = z.infer<typeof Across>;
