import { problem } from "../problem";
import { isPicture, isText, type Filling, type Piece, type Slide } from "../piece";
import type { Address } from "./address";

/** What stands in a row and is known by a key: slots, nodes, slides and sizes. */
export type Row = "message" | "arrangement" | "slides" | "sizes";
export type Entry = readonly [key: string, value: object];

/** One of a row with the key of the one that it follows; null for the first. */
export interface Placed {
  value: object;
  after: string | null;
}

export const ROWS: Record<
  Row,
  { of(piece: Piece): Entry[]; with(piece: Piece, entries: readonly Entry[]): Piece; one: string }
> = {
  message: {
    one: "slot",
    of: ({ message }) => Object.entries(message),
    with: (piece, entries) => ({
      ...piece,
      message: Object.fromEntries(entries) as Piece["message"],
    }),
  },
  arrangement: {
    one: "node",
    of: ({ arrangement }) => arrangement.map((node) => [node.id, node]),
    with: (piece, entries) => ({
      ...piece,
      arrangement: entries.map(([, node]) => node as Piece["arrangement"][number]),
    }),
  },
  slides: {
    one: "slide",
    of: ({ slides = [] }) => slides.map((slide) => [slide.id, slide]),
    with: ({ slides: _before, ...piece }, entries) =>
      entries.length > 0 ? { ...piece, slides: entries.map(([, slide]) => slide as Slide) } : piece,
  },
  sizes: {
    one: "size",
    of: ({ sizes }) => sizes.map((size) => [size.placement, size]),
    with: (piece, entries) => ({
      ...piece,
      sizes: entries.map(([, size]) => size as Piece["sizes"][number]),
    }),
  },
};

/** What stands there now; null for nothing. Throws `edit-impossible` where its slot, node or size is not there. */
export function valueAt(piece: Piece, at: Address): unknown {
  const [first, key, ...way] = at;
  if (key === undefined) return piece[first as keyof Piece] ?? null;
  const entries = ROWS[first as Row].of(piece);
  const index = entries.findIndex(([one]) => one === key);
  const before = entries[index - 1]?.[0] ?? null;
  if (way.length === 0) return index < 0 ? null : { value: entries[index]![1], after: before };
  if (index < 0) throw noSuch(first as Row, key);
  if (way[0] === "after") return before;
  const value = entries[index]![1];
  if (first === "message") mustFit(value as Filling, key, way[0]!);
  return get(value, way) ?? null;
}

/** The piece with something else there; null takes it out. Throws as `valueAt`. */
export function withValueAt(piece: Piece, at: Address, to: unknown): Piece {
  const [first, key, ...way] = at;
  if (key === undefined) {
    const { [first as keyof Piece]: _before, ...rest } = piece;
    return (to === null ? rest : { ...rest, [first]: to }) as Piece;
  }
  const row = ROWS[first as Row];
  const entries = row.of(piece);
  const index = entries.findIndex(([one]) => one === key);
  if (way.length === 0) {
    const others = entries.filter(([one]) => one !== key);
    return row.with(piece, to === null ? others : inserted(others, key, to as Placed));
  }
  if (index < 0) throw noSuch(first as Row, key);
  const value = entries[index]![1];
  if (way[0] === "after") {
    const others = entries.filter(([one]) => one !== key);
    return row.with(piece, inserted(others, key, { value, after: to as string | null }));
  }
  if (first === "message") mustFit(value as Filling, key, way[0]!);
  return row.with(piece, entries.with(index, [key, set(value, way, to)]));
}

/** Behind the one that it follows; at the end, when that is gone. */
function inserted(others: readonly Entry[], key: string, { value, after }: Placed): Entry[] {
  const found = others.findIndex(([one]) => one === after);
  const index = after === null ? 0 : found < 0 ? others.length : found + 1;
  return others.toSpliced(index, 0, [key, value]);
}

const get = (value: object, way: readonly string[]): unknown =>
  way.reduce<unknown>(
    (part, key) => (part === undefined ? undefined : (part as Record<string, unknown>)[key]),
    value,
  );

/** What one size changes of a node goes with the last of it; what every node or size has stays, though empty. */
function set(value: object, [key, ...way]: readonly string[], to: unknown, deep = false): object {
  const { [key!]: before, ...rest } = value as Record<string, unknown>;
  if (way.length === 0) return to === null ? rest : { ...value, [key!]: to };
  const inner = set((before ?? {}) as object, way, to, true);
  return deep && Object.keys(inner).length === 0 ? rest : { ...value, [key!]: inner };
}

const TEXT = new Set(["text", "alternatives", "varies"]);
const PICTURE = new Set(["picture", "areas", "alt", "varies"]);

function mustFit(filling: Filling, slot: string, field: string): void {
  const fits = (isText(filling) && TEXT.has(field)) || (isPicture(filling) && PICTURE.has(field));
  if (!fits) throw noSlot(slot);
}

const noSlot = (slot: string) =>
  problem("edit-impossible", { why: `This piece has no slot “${slot}” of that kind.` });

const noSuch = (row: Row, key: string) =>
  problem("edit-impossible", { why: `This piece has no ${ROWS[row].one} “${key}”.` });
