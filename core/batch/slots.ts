import type { Filling, Piece } from "../piece";
import { FIRST_SLIDE, isStripSlot } from "../strip";

/** A slot that can vary, on whichever slide of a piece it stands. */
export interface BatchSlot {
  /** What variations know it by: the slot, and on a later slide `slide-id/slot`, which holds when slides change places. */
  id: string;
  /** What tables, file names and people call it: `headline`, and on the third slide `slide-3-headline`. */
  name: string;
  /** Which slide it stands on, from 0. */
  slide: number;
  filling: Filling;
}

const idOf = (slide: string, slot: string): string =>
  slide === FIRST_SLIDE ? slot : `${slide}/${slot}`;

function placeOf(id: string): { slide: string; slot: string } {
  const [slot, slide = FIRST_SLIDE] = id.split("/").reverse() as [string, string?];
  return { slide, slot };
}

/** What each slide says, by the slide's id. */
const messagesOf = (piece: Piece): [slide: string, message: Piece["message"]][] => [
  [FIRST_SLIDE, piece.message],
  ...(piece.slides ?? []).map(({ id, message }): [string, Piece["message"]] => [id, message]),
];

/** All slots of a piece that can vary, slide by slide. */
export const batchSlots = (piece: Piece): BatchSlot[] =>
  messagesOf(piece).flatMap(([id, message], index) =>
    Object.entries(message)
      // What counts the slides, or runs through them, is not typed.
      .filter(([slot]) => !isStripSlot(slot))
      .map(([slot, filling]) => ({
        id: idOf(id, slot),
        name: index === 0 ? slot : `slide-${index + 1}-${slot}`,
        slide: index,
        filling,
      })),
  );

/** What a piece says in a slot that is known by its id, if it has that. */
export function fillingAt(piece: Piece, id: string): Filling | undefined {
  const { slide, slot } = placeOf(id);
  return messagesOf(piece).find(([of]) => of === slide)?.[1][slot];
}

/** The piece with other fillings, by the ids of their slots; slides that are gone are passed over. */
export function withFillings(piece: Piece, fillings: Readonly<Record<string, Filling>>): Piece {
  const bySlide = new Map(messagesOf(piece));
  for (const [id, filling] of Object.entries(fillings)) {
    const { slide, slot } = placeOf(id);
    const message = bySlide.get(slide);
    if (message) bySlide.set(slide, { ...message, [slot]: filling });
  }
  const slides = piece.slides?.map((one) => ({ ...one, message: bySlide.get(one.id)! }));
  return { ...piece, message: bySlide.get(FIRST_SLIDE)!, ...(slides ? { slides } : {}) };
}

/** What the columns of a piece's batches are called, by the ids of their slots. */
export function columnNames(piece: Piece): (id: string) => string {
  const names = new Map(batchSlots(piece).map(({ id, name }) => [id, name]));
  return (id) => names.get(id) ?? id;
}

/** The slot that a heading names, ignoring case, spaces and hyphens. */
export const slotNamed = (heading: string, slots: readonly BatchSlot[]): BatchSlot | undefined =>
  slots.find(({ name }) => plain(name) === plain(heading));

/** As names are compared. */
export const plain = (name: string): string => name.toLowerCase().replace(/[^\p{L}\p{N}]/gu, "");
