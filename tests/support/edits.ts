import { editTo, type Edit } from "../../core/edit";
import type { Piece } from "../../core/piece";

/** Words typed into a slot; what has one gesture is one step. */
export const typed = (to: string, was: string, slot = "headline", gesture?: string): Edit => ({
  changes: [{ at: ["message", slot, "text"], to, was }],
  ...(gesture ? { gesture } : {}),
});

/** What gives a piece other sizes. */
export const sized = (piece: Piece, sizes: Piece["sizes"]): Edit =>
  editTo(piece, { ...piece, sizes })!;
