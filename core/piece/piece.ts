import { z } from "zod";
import { Spread } from "../colour";
import { Area, FileId } from "../files";
import { Id } from "../id";
import { LayoutId } from "./layout-id";
import { Placement } from "../placements/placement";
import { Style } from "./style";

export const LIMITS = {
  text: 2000,
  alternatives: 12,
  title: 120,
  nodes: 200,
  sizes: 60,
  slides: 40,
} as const;

export const SlotName = z
  .string()
  .regex(/^[a-z][a-z0-9-]{0,39}$/, "a slot is named in lower-case letters, digits and hyphens");

const SlotText = z.string().max(LIMITS.text, `a slot holds at most ${LIMITS.text} characters`);

/** What a slot says, and other ways of saying it that are kept for a batch. */
export const Wordings = z.object({
  text: SlotText,
  alternatives: z
    .array(SlotText.min(1))
    .max(LIMITS.alternatives, `a slot keeps at most ${LIMITS.alternatives} alternatives`),
});
export type Wordings = z.infer<typeof Wordings>;

export const TextFilling = z.object({
  text: SlotText,
  alternatives: Wordings.shape.alternatives.optional(),
  varies: z.boolean().optional(),
});
export const PictureFilling = z.object({
  picture: FileId,
  areas: z.array(Area).max(40).optional(),
  alt: z.string().max(1000).optional(),
  varies: z.boolean().optional(),
});
export const Filling = z.union([TextFilling, PictureFilling]);
export type Filling = z.infer<typeof Filling>;
export type TextFilling = z.infer<typeof TextFilling>;
export type PictureFilling = z.infer<typeof PictureFilling>;

export const isText = (filling: Filling | undefined): filling is TextFilling =>
  filling !== undefined && "text" in filling;
export const isPicture = (filling: Filling | undefined): filling is PictureFilling =>
  filling !== undefined && "picture" in filling;

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

export const Size = z.object({
  placement: Id,
  /** What the placement is, when it is a size of the piece's own and not of the catalogue. */
  own: Placement.optional(),
  /** The layout that a person picked for this size; else the best is taken. */
  layout: LayoutId.optional(),
  changes: z.record(z.string(), LocalChange).default({}),
});
export type Size = z.infer<typeof Size>;

/** The sides of a frame in pixels. */
export const Frame = z.object({ width: z.number().positive(), height: z.number().positive() });
export type Frame = z.infer<typeof Frame>;

/** What a piece began as: a template, or a copy of another piece. */
export const Origin = z.object({
  kind: z.enum(["template", "piece"]),
  id: z.string().max(80),
  name: z.string().max(LIMITS.title),
});
export type Origin = z.infer<typeof Origin>;

/** What a person left out on purpose and that is not added by itself. */
export const Without = z.array(z.enum(["logo", "ornament"]));
export type Without = z.infer<typeof Without>;

/** What a slide says in the order of the telling. */
export const SlideRole = z.enum(["title", "context", "point", "proof", "summary", "ask"]);
export type SlideRole = z.infer<typeof SlideRole>;

/** Findings that a person called fine, by size, kind and node. */
const Fine = z.array(z.string().max(300)).max(500);

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

export const Language = z
  .string()
  .regex(/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/, "a language is written like en or pt-BR");

const PieceBody = z.object({
  format: z.literal("zestcrate/piece"),
  version: z.literal(1),
  id: Id,
  kind: z.enum(["post", "carousel", "story", "ad"]),
  title: z.string().min(1).max(LIMITS.title),
  origin: Origin.optional(),
  brand: Id,
  /** BCP 47: how the words are broken, cased and shaped. */
  language: Language.optional(),
  lead: Id,
  /** Output pixels of the lead size when the arrangement was composed; absent for a shipped placement. */
  frame: Frame.optional(),
  message: z.record(SlotName, Filling),
  arrangement: z.array(Node).max(LIMITS.nodes),
  spread: Spread.default({}),
  sizes: z.array(Size).max(LIMITS.sizes),
  /** How each placement was laid out when last seen: words that change a little do not turn it over. */
  shown: z.record(z.string(), LayoutId).optional(),
  /** The slides after the first, which is the piece itself. */
  slides: z.array(Slide).max(LIMITS.slides).optional(),
  running: z.array(Running).max(10).optional(),
  across: z.array(Across).max(20).optional(),
  without: Without.optional(),
  /** Of the first slide, as everything here is. */
  fine: Fine.optional(),
});

export const Piece = PieceBody.superRefine(checkReferences);
export type Piece = z.infer<typeof Piece>;

/** A slide of a design stands on the strip's ground, or is `turned`: on the opposite one. */
export const DesignSlide = Slide.omit({ spread: true, shown: true, fine: true }).extend({
  turned: z.boolean().optional(),
});
export type DesignSlide = z.infer<typeof DesignSlide>;

/** What a design is without a brand and a name of its own: what templates hold. */
export const Design = PieceBody.pick({
  kind: true,
  lead: true,
  frame: true,
  message: true,
  arrangement: true,
  sizes: true,
  running: true,
  across: true,
  without: true,
})
  .extend({ slides: z.array(DesignSlide).max(LIMITS.slides).optional() })
  .superRefine(checkReferences);
export type Design = z.infer<typeof Design>;

/** Node names are unique, and `on` names another node and never leads back to itself. */
function checkReferences(
  piece: { arrangement: Node[]; slides?: { id: string; arrangement: Node[] }[] | undefined },
  context: z.RefinementCtx,
): void {
  const names = (piece.slides ?? []).map(({ id }) => id);
  if (new Set(names).size < names.length)
    context.addIssue({ code: "custom", path: ["slides"], message: "two slides have one id" });
  for (const [index, slide] of (piece.slides ?? []).entries())
    checkNodes(slide, context, ["slides", index]);
  checkNodes(piece, context, []);
}

function checkNodes(
  piece: { arrangement: Node[] },
  context: z.RefinementCtx,
  within: (string | number)[],
): void {
  const byId = new Map<string, Node>();
  piece.arrangement.forEach((node, index) => {
    const path = [...within, "arrangement", index, "id"];
    if (byId.has(node.id)) {
      context.addIssue({ code: "custom", path, message: `two nodes are called “${node.id}”` });
    }
    byId.set(node.id, node);
  });
  piece.arrangement.forEach((node, index) => {
    const path = [...within, "arrangement", index, "on"];
    if (node.on !== undefined && !byId.has(node.on)) {
      context.addIssue({ code: "custom", path, message: `there is no node “${node.on}”` });
    } else if (leadsBack(node, byId)) {
      context.addIssue({ code: "custom", path, message: `“${node.id}” would sit on itself` });
    }
  });
}

function leadsBack(node: Node, byId: Map<string, Node>): boolean {
  const seen = new Set([node.id]);
  for (let next = node.on; next !== undefined; next = byId.get(next)?.on) {
    if (seen.has(next)) return true;
    seen.add(next);
  }
  return false;
}

/** The piece with what was found in its pictures, where a person said nothing else of them. */
export function withFound(piece: Piece, found: ReadonlyMap<FileId, Area[]>): Piece {
  const message = Object.entries(piece.message).map(([slot, filling]) => {
    const areas = isPicture(filling) && !filling.areas ? found.get(filling.picture) : undefined;
    return [slot, areas ? { ...filling, areas } : filling] as const;
  });
  return { ...piece, message: Object.fromEntries(message) as Piece["message"] };
}

/** The picture files that a message uses. */
export const messagePictures = (message: Piece["message"]): FileId[] =>
  Object.values(message).flatMap((filling) => (isPicture(filling) ? [filling.picture] : []));

/** Every picture that a piece shows, on all its slides and across their folds. */
export const piecePictureIds = ({
  message,
  slides = [],
  across = [],
}: Pick<Piece, "message" | "slides" | "across">): FileId[] => [
  ...messagePictures(message),
  ...slides.flatMap((slide) => messagePictures(slide.message)),
  ...across.flatMap(({ picture }) => picture ?? []),
];
