import { readFile } from "node:fs/promises";
import { basename } from "node:path";
import {
  combine,
  readTable,
  tableOfAlternatives,
  type LookNames,
  type PictureName,
  type Table,
  type TableNote,
  type Variation,
} from "../../core/batch";
import { brandSpreads } from "../../core/brand";
import type { Piece } from "../../core/piece";
import { problem } from "../../core/problem";
import { readTableFile } from "../imports/tables";
import { UsageError, type Options } from "./options";

interface Read {
  table: Table;
  notes: TableNote[];
}

/** The variations that a run is asked for: the piece itself where nothing varies. */
export async function variationsOf(
  { alternatives, table, pair: pairing, sample, spreads: count }: Options,
  piece: Piece,
  { pictures, looks }: { pictures: readonly PictureName[]; looks: LookNames },
): Promise<{ variations: Variation[]; notes: TableNote[] }> {
  const read = alternatives ? keptBy(piece) : await tableAt(table);
  const spreads = brandSpreads(looks.brand).slice(0, count);
  if (!read && spreads.length === 0) return { variations: [{ message: {} }], notes: [] };
  const lists = read
    ? readTable(read.table, piece, pictures, looks)
    : { columns: [], rows: [], notes: [] };
  const variations = [...combine({ lists, spreads, pairing, sample })];
  return { variations, notes: [...(read?.notes ?? []), ...lists.notes] };
}

function keptBy(piece: Piece): Read {
  const table = tableOfAlternatives(piece);
  if (table.columns.length === 0)
    throw new UsageError(`--alternatives: “${piece.title}” keeps no other wordings for any slot`);
  return { table, notes: [] };
}

async function tableAt(path: string | undefined): Promise<Read | undefined> {
  if (path === undefined) return undefined;
  const bytes = await readFile(path).catch(() => {
    throw problem("not-found", { what: "file", id: path });
  });
  return readTableFile(bytes, basename(path));
}
