import { z } from "zod";
import { Spread } from "../colour";
import { FileId } from "../files";
import { Id } from "../id";
import { problem } from "../problem";
import {
  Filling,
  Frame,
  isPicture,
  isText,
  Language,
  LIMITS,
  Node,
  PictureFilling,
  Size,
  SlotName,
  Without,
  Wordings,
  type Piece,
} from "./piece";
import { Style } from "./style";
import {
  dressOf,
  leadOf,
  localOf,
  looksOf,
  noSlot,
  pictureOf,
  pictureStyleOf,
  textOf,
  wordingsOf,
} from "./values";

const LooksValue = z.object({ arrangement: z.array(Node).max(LIMITS.nodes), sizes: z.array(Size) });

/** Another lead; the spread comes along where the whole look is exchanged. */
const LeadValue = LooksValue.extend({
  lead: Id,
  frame: Frame.optional(),
  spread: Spread.optional(),
});

/** What a size has of its own: a picked layout and local changes. */
const LocalValue = Size.pick({ layout: true, changes: true });

/** How a picture stands in its frame, and what is done to its pixels. */
export const PictureStyle = Style.pick({ framing: true, adjust: true });
export type PictureStyle = z.infer<typeof PictureStyle>;

/** Another brand or spread; the looks come along where tokens had to be exchanged for it. */
const DressValue = z.object({
  brand: Id,
  spread: Spread,
  looks: LooksValue.optional(),
});

/**
 * Every change of a piece passes here as one of these. Each says what was there before (`was`),
 * so it can be undone, and so a window that did not know of another's change finds out.
 */
export const Edit = z.discriminatedUnion("kind", [
  z.object({
    kind: z.literal("text"),
    slot: SlotName,
    to: z.string().max(LIMITS.text, `a slot holds at most ${LIMITS.text} characters`),
    was: z.string(),
  }),
  z.object({
    kind: z.literal("picture"),
    slot: SlotName,
    to: z.object({
      picture: FileId,
      areas: PictureFilling.shape.areas,
      alt: z.string().max(1000).optional(),
    }),
    was: z.object({
      picture: FileId,
      areas: PictureFilling.shape.areas,
      alt: z.string().optional(),
    }),
  }),
  /** A slot that comes or goes, with its words or picture. */
  z.object({
    kind: z.literal("slot"),
    slot: SlotName,
    to: Filling.nullable(),
    was: Filling.nullable(),
  }),
  z.object({ kind: z.literal("fine"), to: z.array(z.string()), was: z.array(z.string()) }),
  z.object({ kind: z.literal("without"), to: Without, was: Without }),
  z.object({ kind: z.literal("language"), to: Language.nullable(), was: Language.nullable() }),
  z.object({ kind: z.literal("wordings"), slot: SlotName, to: Wordings, was: Wordings }),
  z.object({
    kind: z.literal("picture-style"),
    node: z.string().min(1),
    /** On this size only; on all of them when not given. */
    placement: Id.optional(),
    to: PictureStyle,
    was: PictureStyle,
  }),
  z.object({ kind: z.literal("varies"), slot: SlotName, to: z.boolean(), was: z.boolean() }),
  z.object({
    kind: z.literal("title"),
    to: z.string().trim().min(1, "a piece needs a name").max(LIMITS.title),
    was: z.string(),
  }),
  z.object({ kind: z.literal("dress"), to: DressValue, was: DressValue }),
  z.object({ kind: z.literal("looks"), to: LooksValue, was: LooksValue }),
  z.object({ kind: z.literal("lead"), to: LeadValue, was: LeadValue }),
  z.object({
    kind: z.literal("sizes"),
    to: z.array(Size).min(1).max(LIMITS.sizes),
    was: z.array(Size),
  }),
  z.object({
    kind: z.literal("local"),
    placement: Id,
    to: LocalValue,
    was: LocalValue,
  }),
]);
export type Edit = z.infer<typeof Edit>;

/** An edit of what the message says or shows in one of its slots. */
type MessageEdit = Extract<Edit, { slot: string }>;

/** The piece after the edit. Throws `edit-impossible` when it names something that is not there. */
export function applyEdit(piece: Piece, edit: Edit): Piece {
  if ("slot" in edit) return applyToMessage(piece, edit);
  switch (edit.kind) {
    case "fine":
      return { ...piece, fine: edit.to.length > 0 ? edit.to : undefined };
    case "without":
      return { ...piece, without: edit.to.length > 0 ? edit.to : undefined };
    case "language":
      return { ...piece, language: edit.to ?? undefined };
    case "picture-style":
      return edit.placement === undefined
        ? withPictureStyle(piece, edit.node, edit.to)
        : withLocalStyle(piece, edit.node, edit.placement, edit.to);
    case "title":
      return { ...piece, title: edit.to };
    case "dress": {
      const { looks, ...dress } = edit.to;
      return { ...piece, ...dress, ...looks };
    }
    case "looks":
      return { ...piece, ...edit.to };
    case "lead":
      return { ...piece, frame: undefined, ...edit.to };
    case "sizes":
      return withSizes(piece, edit.to);
    case "local":
      return withLocal(piece, edit.placement, edit.to);
  }
}

function applyToMessage(piece: Piece, edit: MessageEdit): Piece {
  switch (edit.kind) {
    case "text":
      return withFilling(piece, edit.slot, isText, { text: edit.to });
    case "picture":
      return withFilling(piece, edit.slot, isPicture, {
        areas: undefined,
        alt: undefined,
        ...edit.to,
      });
    case "slot":
      return withSlot(piece, edit.slot, edit.to);
    case "wordings":
      return withFilling(piece, edit.slot, isText, {
        text: edit.to.text,
        alternatives: edit.to.alternatives.length > 0 ? edit.to.alternatives : undefined,
      });
    case "varies":
      return withFilling(piece, edit.slot, () => true, { varies: edit.to || undefined });
  }
}

export const invertEdit = (edit: Edit): Edit => ({ ...edit, to: edit.was, was: edit.to }) as Edit;

/** What the edit would overwrite, in the piece as it is now; compared with `was` to find conflicts. */
export function valueNow(piece: Piece, edit: Edit): Edit["was"] {
  if ("slot" in edit) return saidNow(piece, edit);
  switch (edit.kind) {
    case "fine":
      return piece.fine ?? [];
    case "without":
      return piece.without ?? [];
    case "language":
      return piece.language ?? null;
    case "picture-style":
      return pictureStyleOf(piece, edit.node, edit.placement);
    case "title":
      return piece.title;
    case "dress":
      return dressOf(piece, edit.to.looks !== undefined);
    case "looks":
      return looksOf(piece);
    case "lead":
      return leadOf(piece, edit.to.spread !== undefined);
    case "sizes":
      return piece.sizes;
    case "local":
      return localOf(piece, edit.placement);
  }
}

function saidNow(piece: Piece, edit: MessageEdit): Edit["was"] {
  switch (edit.kind) {
    case "text":
      return textOf(piece, edit.slot);
    case "picture":
      return pictureOf(piece, edit.slot);
    case "slot":
      return piece.message[edit.slot] ?? null;
    case "wordings":
      return wordingsOf(piece, edit.slot);
    case "varies":
      return piece.message[edit.slot]?.varies ?? false;
  }
}

/** Typing goes into one step of undo: a further change of the same words or picture joins the one before. */
export function joinEdits(before: Edit, after: Edit): Edit | undefined {
  const sameText = before.kind === "text" && after.kind === "text" && before.slot === after.slot;
  const sameTitle = before.kind === "title" && after.kind === "title";
  const sameStyle =
    before.kind === "picture-style" &&
    after.kind === "picture-style" &&
    before.node === after.node &&
    before.placement === after.placement;
  return sameText || sameTitle || sameStyle ? ({ ...after, was: before.was } as Edit) : undefined;
}

function withFilling(
  piece: Piece,
  slot: string,
  fits: (filling: Piece["message"][string]) => boolean,
  change: object,
): Piece {
  const filling = piece.message[slot];
  if (!filling || !fits(filling)) throw noSlot(slot);
  return { ...piece, message: { ...piece.message, [slot]: { ...filling, ...change } } };
}

function withSlot(piece: Piece, slot: string, to: Filling | null): Piece {
  const { [slot]: _before, ...message } = piece.message;
  return { ...piece, message: to === null ? message : { ...message, [slot]: to } };
}

function withPictureStyle(piece: Piece, id: string, to: PictureStyle): Piece {
  pictureStyleOf(piece, id);
  const arrangement = piece.arrangement.map((node) => {
    if (node.id !== id) return node;
    const { framing: _framing, adjust: _adjust, ...rest } = node.style;
    return { ...node, style: { ...rest, ...to } };
  });
  return { ...piece, arrangement };
}

function withLocalStyle(piece: Piece, id: string, placement: string, to: PictureStyle): Piece {
  pictureStyleOf(piece, id, placement);
  const local = localOf(piece, placement);
  const { style: before, ...change } = local.changes[id] ?? {};
  const { framing: _framing, adjust: _adjust, ...rest } = before ?? {};
  const style = { ...rest, ...to };
  const changed = { ...change, ...(Object.keys(style).length > 0 ? { style } : {}) };
  const { [id]: _before, ...others } = local.changes;
  const changes = Object.keys(changed).length > 0 ? { ...others, [id]: changed } : others;
  return withLocal(piece, placement, { ...local, changes });
}

/** The lead size cannot be taken out, and no placement is there twice. */
function withSizes(piece: Piece, sizes: Size[]): Piece {
  if (!sizes.some(({ placement }) => placement === piece.lead)) {
    throw problem("edit-impossible", { why: "The lead size cannot be taken out of its piece." });
  }
  return { ...piece, sizes: [...new Map(sizes.map((size) => [size.placement, size])).values()] };
}

function withLocal(
  piece: Piece,
  placement: string,
  { layout, changes }: Pick<Size, "layout" | "changes">,
): Piece {
  localOf(piece, placement);
  const sizes = piece.sizes.map((size) => {
    if (size.placement !== placement) return size;
    const { layout: _before, ...rest } = size;
    return { ...rest, ...(layout === undefined ? {} : { layout }), changes };
  });
  return { ...piece, sizes };
}
