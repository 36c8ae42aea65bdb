import { z } from "zod";
import type { Piece } from "../piece";
import type { Lists, SlotValue } from "./table";

export const Pairing = z.enum(["in-step", "every-mix"]);
export type Pairing = z.infer<typeof Pairing>;

/** What one variation changes in the piece's message. */
export type Variation = Record<string, SlotValue>;

/** The lists to combine: the table's, and pictures for one slot beside it. */
export interface Combining {
  lists: Lists;
  pictures: { slot: string; ids: string[] } | undefined;
  pairing: Pairing;
}

/** How many variations come out, without making them. */
export function countVariations({ lists, pictures, pairing }: Combining): number {
  if (pairing === "in-step") return lists.rows.length;
  const columns = Object.values(alternatives(lists)).reduce((n, values) => n * values.length, 1);
  return columns * Math.max(1, pictures?.ids.length ?? 0);
}

/**
 * In step: row by row, the first row with the first picture; fewer pictures than rows repeat in turn.
 * Every mix: each value of each column with each of the others and with each picture;
 * the first column changes slowest. Equal values of a column count once.
 */
export function* combine({ lists, pictures, pairing }: Combining): Generator<Variation> {
  const ids = pictures?.ids ?? [];
  const withPicture = (variation: Variation, id: string | undefined): Variation =>
    pictures && id !== undefined ? { ...variation, [pictures.slot]: { picture: id } } : variation;
  if (pairing === "in-step") {
    for (const [index, row] of lists.rows.entries()) {
      yield withPicture(filled(row), ids[index % Math.max(1, ids.length)]);
    }
    return;
  }
  for (const mixed of product(Object.entries(alternatives(lists)))) {
    if (ids.length === 0) yield mixed;
    for (const id of ids) yield withPicture(mixed, id);
  }
}

const filled = (row: Lists["rows"][number]): Variation =>
  Object.fromEntries(
    Object.entries(row).filter((entry): entry is [string, SlotValue] => entry[1] !== undefined),
  );

/** For each slot its different values, in the order in which they first stand in the table. */
function alternatives({ slots, rows }: Lists): Record<string, SlotValue[]> {
  const entries = slots.flatMap((slot) => {
    const values = rows.flatMap((row) => row[slot] ?? []);
    const unique = new Map(values.map((value) => [JSON.stringify(value), value]));
    return unique.size > 0 ? [[slot, [...unique.values()]] as [string, SlotValue[]]] : [];
  });
  return Object.fromEntries(entries);
}

function* product(lists: [string, SlotValue[]][]): Generator<Variation> {
  const [first, ...rest] = lists;
  if (!first) {
    yield {};
    return;
  }
  const [slot, values] = first;
  for (const value of values) {
    for (const others of product(rest)) yield { [slot]: value, ...others };
  }
}

/** The piece with the variation's words and pictures in place of its own. */
export function applyVariation(piece: Piece, variation: Variation): Piece {
  const message = { ...piece.message };
  for (const [slot, value] of Object.entries(variation)) {
    const own = message[slot];
    // Another picture has another subject, so what is said of the piece's own does not apply to it.
    const samePicture =
      own && "picture" in own && "picture" in value && own.picture === value.picture;
    message[slot] = samePicture ? own : value;
  }
  return { ...piece, message };
}
