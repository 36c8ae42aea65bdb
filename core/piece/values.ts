import { problem } from "../problem";
import { isPicture, isText, type Piece, type Size, type Wordings } from "./piece";
import type { Style } from "./style";

/*
 * What a piece has now of that which an edit may change. Each answers in the form in which the edit says it, so that
 * what was there before can be compared, and put back.
 */

/** Nothing is said in a slot that is not there. */
export function textOf(piece: Piece, slot: string): string {
  const filling = piece.message[slot];
  return isText(filling) ? filling.text : "";
}

/** Throws `edit-impossible` for a slot that holds no picture. */
export function pictureOf(piece: Piece, slot: string) {
  const filling = piece.message[slot];
  if (!isPicture(filling)) throw noSlot(slot);
  const { picture, areas, alt } = filling;
  return { picture, areas, alt };
}

export const looksOf = ({ arrangement, sizes }: Piece) => ({ arrangement, sizes });

/** What changes with the lead size; with its colours when they are to change too. */
export const leadOf = (piece: Piece, withSpread = false) => ({
  ...looksOf(piece),
  lead: piece.lead,
  ...(piece.frame ? { frame: piece.frame } : {}),
  ...(withSpread ? { spread: piece.spread } : {}),
});

/** What a size has of its own. Throws `edit-impossible` for a size that the piece does not have. */
export function localOf(piece: Piece, placement: string): Pick<Size, "layout" | "changes"> {
  const size = piece.sizes.find((one) => one.placement === placement);
  if (!size) throw noSize(placement);
  const { layout, changes } = size;
  return { ...(layout === undefined ? {} : { layout }), changes };
}

/** Whether a size differs from what follows from the message and the arrangement. */
export const isLocal = ({ layout, changes }: Size): boolean =>
  layout !== undefined || Object.keys(changes).length > 0;

/** What a piece wears; with its looks when they are to change too. */
export const dressOf = (piece: Piece, withLooks: boolean) => ({
  brand: piece.brand,
  spread: piece.spread,
  ...(withLooks ? { looks: looksOf(piece) } : {}),
});

/** Words of a slot with their alternatives. Throws `edit-impossible` for a slot that holds none. */
export function wordingsOf(piece: Piece, slot: string): Wordings {
  const filling = piece.message[slot];
  if (!isText(filling)) throw noSlot(slot);
  return { text: filling.text, alternatives: filling.alternatives ?? [] };
}

/**
 * A picture's own style, or what one size has of its own beyond it. Throws `edit-impossible` for a node that is not
 * there or shows no picture, and for a size that the piece does not have.
 */
export function pictureStyleOf(
  piece: Piece,
  id: string,
  placement?: string,
): Pick<Style, "framing" | "adjust"> {
  const node = piece.arrangement.find((one) => one.id === id && one.kind === "picture");
  if (!node) throw problem("edit-impossible", { why: `This piece has no picture “${id}”.` });
  const style = placement === undefined ? node.style : localOf(piece, placement).changes[id]?.style;
  const { framing, adjust } = style ?? {};
  return { ...(framing ? { framing } : {}), ...(adjust ? { adjust } : {}) };
}

export const noSlot = (slot: string) =>
  problem("edit-impossible", { why: `This piece has no slot “${slot}” of that kind.` });

const noSize = (placement: string) =>
  problem("edit-impossible", { why: `This piece has no size “${placement}”.` });
