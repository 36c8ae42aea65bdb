import { z } from "zod";
import { Spread } from "../colour";
import type { Area, FileId } from "../files";
import { Id } from "../id";
import { Filling, isPicture, SlotName } from "./filling";
import { LayoutId } from "./layout-id";
import { LIMITS } from "./limits";
import { Node } from "./node";
import { Siblings } from "./siblings";
import { Frame, Size } from "./size";
import { Across, Fine, Running, Slide } from "./slides";

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
  siblings: Siblings.optional(),
  /** Of the first slide, as everything here is. */
  fine: Fine.optional(),
});

export const Piece = PieceBody.superRefine(checkReferences);
export type Piece = z.infer<typeof Piece> & {
  /** Of one slide taken by itself: the headlines that its own is to be as large as. No document has it. */
  headlines?: readonly string[];
  /** Of one of many siblings: on how many lines most of them have the words of a node. No document has it. */
  lines?: Readonly<Record<string, number>>;
};

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
  const seen = (message: Piece["message"]): Piece["message"] =>
    Object.fromEntries(
      Object.entries(message).map(([slot, filling]) => {
        const areas = isPicture(filling) && !filling.areas ? found.get(filling.picture) : undefined;
        return [slot, areas ? { ...filling, areas } : filling];
      }),
    );
  const { siblings } = piece;
  return {
    ...piece,
    message: seen(piece.message),
    ...(siblings ? { siblings: { ...siblings, longest: seen(siblings.longest) } } : {}),
  };
}

/** The picture files that a message uses. */
export const messagePictures = (message: Piece["message"]): FileId[] =>
  Object.values(message).flatMap((filling) => (isPicture(filling) ? [filling.picture] : []));

/** The pictures with which the set of a piece was laid out. */
export const siblingPictures = ({ siblings }: Pick<Piece, "siblings">): FileId[] =>
  siblings ? messagePictures(siblings.longest) : [];

/** Every picture that a piece shows, on all its slides and across their folds, or is laid out by. */
export const piecePictureIds = ({
  message,
  slides = [],
  across = [],
  siblings,
}: Pick<Piece, "message" | "slides" | "across" | "siblings">): FileId[] => [
  ...messagePictures(message),
  ...(siblings ? messagePictures(siblings.longest) : []),
  ...slides.flatMap((slide) => messagePictures(slide.message)),
  ...across.flatMap(({ picture }) => picture ?? []),
];
