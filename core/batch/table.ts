import { z } from "zod";
import { isPicture, isText, LIMITS, type Piece } from "../piece";
import { problem } from "../problem";
import { tableWords } from "../wording/tables";
import { choiceOf, type Choice } from "./choice";
import { knownIn, lookColumnNamed, readLook, type LookColumn, type LookNames } from "./looks";
import { columnSlots, isAside } from "./columns";
import { batchSlots, plain, slotNamed, type BatchSlot } from "./slots";

export const BATCH_LIMITS = { rows: 10_000, files: 40_000, columns: 100 } as const;

/** Rows of text under named columns, as read from CSV, XLSX or a paste. */
export const Table = z.object({
  columns: z.array(z.string().max(200)).max(BATCH_LIMITS.columns),
  rows: z.array(z.array(z.string().max(10_000))).max(BATCH_LIMITS.rows),
});
export type Table = z.infer<typeof Table>;

type NoteCode = keyof typeof tableWords;

/** Something about a table that a person should know; it does not stop the rest. `row` counts from 1 below the headings. */
export const TableNote = z.object({
  code: z.enum(Object.keys(tableWords) as [NoteCode, ...NoteCode[]]),
  row: z.number().int().optional(),
  text: z.string(),
});
export type TableNote = z.infer<typeof TableNote>;

export function tableNote<C extends NoteCode>(
  code: C,
  params: Parameters<(typeof tableWords)[C]>[0],
): TableNote {
  const text = (tableWords[code] as (p: typeof params) => string)(params);
  return { code, ...("row" in params ? { row: params.row } : {}), text };
}

export interface PictureName {
  id: string;
  name: string;
}

/** The lists that a batch combines: for each column its values row by row; empty cells keep the piece's own. */
export interface Lists {
  /** Slots by their ids, and the columns of looks. */
  columns: string[];
  /** `rows[i][column]` is undefined where the cell is empty. */
  rows: Record<string, Choice | undefined>[];
  notes: TableNote[];
}

/** One that is used: where it stands in the table, and how its cells are read. */
interface UsedColumn {
  at: number;
  id: string;
  read: (cell: string, index: number) => Choice | undefined;
}

/**
 * Matches a table's columns with the piece's slots by name, ignoring case, spaces and hyphens, and with the columns of looks
 * where it is known what these may name. Throws `table-empty` and `table-no-slot`; everything else becomes a note and the
 * rest goes on.
 */
export function readTable(
  table: Table,
  piece: Piece,
  pictures: readonly PictureName[],
  looks?: LookNames,
): Lists {
  if (table.rows.length === 0) throw problem("table-empty");
  const notes: TableNote[] = [];
  const columns = usedColumns(table, piece, { pictures, looks, notes });
  if (columns.length === 0) {
    throw problem("table-no-slot", {
      columns: table.columns.map((name) => `“${name}”`).join(", ") || "none",
      slots: batchSlots(piece)
        .map(({ name }) => name)
        .join(", "),
    });
  }
  const rows = table.rows.map((cells, index) => {
    noteRagged(table, cells, index, notes);
    return Object.fromEntries(
      columns.map(({ at, id, read }) => {
        const cell = cells[at]?.trim() ?? "";
        return [id, cell === "" ? undefined : read(cell, index)];
      }),
    );
  });
  return { columns: columns.map(({ id }) => id), rows, notes };
}

interface Known {
  pictures: readonly PictureName[];
  looks: LookNames | undefined;
  notes: TableNote[];
}

function usedColumns(table: Table, piece: Piece, known: Known): UsedColumn[] {
  const slots = batchSlots(piece);
  const taken = new Set<string>();
  const lookOf = (name: string) => (known.looks ? lookColumnNamed(name) : undefined);
  const isLook = (name: string): boolean => lookOf(name) !== undefined;
  const matches = columnSlots(table, slots, known.pictures, isLook);
  return table.columns.flatMap((name, at) => {
    const slot = matches[at]!.slot ?? slotNamed(name, slots);
    const look = slot ? undefined : lookOf(name);
    const id = slot?.id ?? look;
    if (id !== undefined && !taken.has(id)) {
      taken.add(id);
      if (matches[at]!.by === "content")
        known.notes.push(tableNote("by-content", { name, slot: slot!.name }));
      const read = slot ? slotReader(slot, known) : lookReader(look!, known.looks!, known.notes);
      return [{ at, id, read }];
    }
    if (id === undefined && isAside(name)) return [];
    const names = slots.map((one) => one.name);
    known.notes.push(
      id === undefined
        ? tableNote("unknown-column", { name, slots: names })
        : tableNote("same-column", { name }),
    );
    return [];
  });
}

function noteRagged(table: Table, cells: string[], index: number, notes: TableNote[]): void {
  if (cells.length === table.columns.length) return;
  const [has, needs] = [cells.length, table.columns.length];
  notes.push(tableNote("ragged-row", { row: index + 1, has, needs }));
}

const slotReader =
  ({ id, name: slot, filling: own }: BatchSlot, { pictures, notes }: Known): UsedColumn["read"] =>
  (cell, index) => {
    const row = index + 1;
    if (isPicture(own)) {
      const found = pictures.find((one) => one.id === cell || plain(one.name) === plain(cell));
      if (found) return choiceOf(id, found.id, { message: { [id]: { picture: found.id } } });
      notes.push(tableNote("unknown-picture", { row, picture: cell }));
      return undefined;
    }
    if (isText(own) && cell.length > LIMITS.text) {
      notes.push(tableNote("too-long", { row, slot, length: cell.length, most: LIMITS.text }));
      return undefined;
    }
    return choiceOf(id, cell, { message: { [id]: { text: cell } } });
  };

const lookReader =
  (column: LookColumn, looks: LookNames, notes: TableNote[]): UsedColumn["read"] =>
  (cell, index) => {
    const change = readLook(column, cell, looks);
    if (change) return choiceOf(column, cell, change);
    const known = knownIn(column, looks).map(({ name }) => name);
    notes.push(tableNote("unknown-value", { row: index + 1, column, value: cell, known }));
    return undefined;
  };
