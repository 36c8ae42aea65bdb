import { same } from "../same";
import type { Filling, Piece } from "../piece";
import { FIRST_SLIDE, isStripSlot, slideIds } from "../strip";

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

/** All slots of a piece that can vary, slide by slide. */
export function batchSlots(piece: Piece): BatchSlot[] {
  const messages = [piece, ...(piece.slides ?? [])].map(({ message }) => message);
  const ids = slideIds(piece);
  return messages.flatMap((message, index) =>
    Object.entries(message)
      // What counts the slides, or runs through them, is not typed.
      .filter(([slot]) => !isStripSlot(slot))
      .map(([slot, filling]) => ({
        id: idOf(ids[index]!, slot),
        name: index === 0 ? slot : `slide-${index + 1}-${slot}`,
        slide: index,
        filling,
      })),
  );
}

/** What a piece says in a slot that is known by its id, if it has that. */
export const fillingAt = (piece: Piece, id: string): Filling | undefined =>
  batchSlots(piece).find((one) => one.id === id)?.filling;

/** The piece with other fillings, by the ids of their slots; slides that are gone are passed over. */
export function withFillings(piece: Piece, fillings: Readonly<Record<string, Filling>>): Piece {
  const of = (slide: string): Record<string, Filling> =>
    Object.fromEntries(
      Object.entries(fillings).flatMap(([id, filling]) => {
        const [slot, own] = id.split("/").reverse() as [string, string?];
        return (own ?? FIRST_SLIDE) === slide ? [[slot, filling]] : [];
      }),
    );
  const filled = (message: Piece["message"], slide: string): Piece["message"] => {
    const own = of(slide);
    return same(own, {}) ? message : { ...message, ...own };
  };
  const { message, slides } = piece;
  return {
    ...piece,
    message: filled(message, FIRST_SLIDE),
    ...(slides
      ? { slides: slides.map((one) => ({ ...one, message: filled(one.message, one.id) })) }
      : {}),
  };
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
