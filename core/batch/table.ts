import { z } from "zod";
import { isPicture, isText, LIMITS, type Piece } from "../piece";
import { problem } from "../problem";
import { tableWords } from "../wording/tables";
import { batchSlots, plain, slotNamed, type BatchSlot } from "./slots";

export const BATCH_LIMITS = { rows: 5000, files: 40_000, columns: 100 } as const;

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

/** The lists that a batch combines: for each slot, by its id, its values row by row; empty cells keep the piece's own. */
export interface Lists {
  slots: string[];
  /** `rows[i][slot]` is undefined where the cell is empty. */
  rows: Record<string, SlotValue | undefined>[];
  notes: TableNote[];
}

export type SlotValue = { text: string } | { picture: string };

/**
 * Matches a table's columns with the piece's slots by name, ignoring case, spaces and hyphens.
 * Throws `table-empty` and `table-no-slot`; everything else becomes a note and the rest goes on.
 */
export function readTable(table: Table, piece: Piece, pictures: readonly PictureName[]): Lists {
  if (table.rows.length === 0) throw problem("table-empty");
  const notes: TableNote[] = [];
  const columns = matchColumns(table, piece, notes);
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
      columns.map(({ at, slot }) => [
        slot.id,
        readCell(cells[at]?.trim() ?? "", slot, pictures, index, notes),
      ]),
    );
  });
  return { slots: columns.map(({ slot }) => slot.id), rows, notes };
}

function matchColumns(table: Table, piece: Piece, notes: TableNote[]) {
  const slots = batchSlots(piece);
  const taken = new Set<BatchSlot>();
  return table.columns.flatMap((name, at) => {
    const slot = slotNamed(name, slots);
    if (slot && !taken.has(slot)) {
      taken.add(slot);
      return [{ at, slot }];
    }
    const names = slots.map((one) => one.name);
    notes.push(
      slot
        ? tableNote("same-column", { name })
        : tableNote("unknown-column", { name, slots: names }),
    );
    return [];
  });
}

function noteRagged(table: Table, cells: string[], index: number, notes: TableNote[]): void {
  if (cells.length === table.columns.length) return;
  const [has, needs] = [cells.length, table.columns.length];
  notes.push(tableNote("ragged-row", { row: index + 1, has, needs }));
}

function readCell(
  cell: string,
  { name: slot, filling: own }: BatchSlot,
  pictures: readonly PictureName[],
  index: number,
  notes: TableNote[],
): SlotValue | undefined {
  if (cell === "") return undefined;
  if (isPicture(own)) {
    const found = pictures.find(({ id, name }) => id === cell || plain(name) === plain(cell));
    if (found) return { picture: found.id };
    notes.push(tableNote("unknown-picture", { row: index + 1, picture: cell }));
    return undefined;
  }
  if (isText(own) && cell.length > LIMITS.text) {
    const about = { row: index + 1, slot, length: cell.length, most: LIMITS.text };
    notes.push(tableNote("too-long", about));
    return undefined;
  }
  return { text: cell };
}
