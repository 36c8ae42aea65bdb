import { problem } from "../problem";
import type { Piece } from "./piece";
import type { Size } from "./size";
import type { Style } from "./style";

/** How a picture stands in its frame, and what is done to its pixels. */
export type PictureStyle = Pick<Style, "framing" | "adjust">;

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

/** The piece with a size as it follows from the message and the arrangement. */
export const followingAgain = (piece: Piece, placement: string): Piece => ({
  ...piece,
  sizes: piece.sizes.map((size) => {
    if (size.placement !== placement) return size;
    const { layout: _layout, ...rest } = size;
    return { ...rest, changes: {} };
  }),
});

/**
 * A picture's own style, or what one size has of its own beyond it. Throws `edit-impossible` for a node that is not
 * there or shows no picture, and for a size that the piece does not have.
 */
export function pictureStyleOf(piece: Piece, id: string, placement?: string): PictureStyle {
  const node = piece.arrangement.find((one) => one.id === id && one.kind === "picture");
  if (!node) throw problem("edit-impossible", { why: `This piece has no picture “${id}”.` });
  const style = placement === undefined ? node.style : localOf(piece, placement).changes[id]?.style;
  const { framing, adjust } = style ?? {};
  return { ...(framing ? { framing } : {}), ...(adjust ? { adjust } : {}) };
}

const noSize = (placement: string) =>
  problem("edit-impossible", { why: `This piece has no size “${placement}”.` });
