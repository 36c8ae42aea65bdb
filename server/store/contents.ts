import { sql } from "drizzle-orm";
import { fromOlderEdit, type Edit } from "../../core/edit";
import {
  shownWithIds,
  withFineSlots,
  withLayoutIds,
  withPlaces,
  type FrameOf,
} from "../../core/piece";
import { shippedPlacement } from "../../core/placements";
import type { Transaction } from "./database";
import { mendIds } from "./ids";

/** What is done to the contents of a database that was written before, in order; each once, by the database's own version. */
const STEPS: ((tx: Transaction) => Promise<void>)[] = [
  mendIds,
  sayEditsAnew,
  giveLayoutsIds,
  keepPlaces,
  knowFineBySlots,
];

export async function bringUpToDate(tx: Transaction): Promise<void> {
  const { user_version: version } = await tx.get<{ user_version: number }>(
    sql`PRAGMA user_version`,
  );
  for (const step of STEPS.slice(version)) await step(tx);
  if (version < STEPS.length) await tx.run(sql.raw(`PRAGMA user_version = ${STEPS.length}`));
}

/** Histories in small changes; a step that changed nothing, or that nobody can read, goes. */
async function sayEditsAnew(tx: Transaction): Promise<void> {
  const rows = await tx.all<{ id: number; edit: string }>(sql`SELECT id, edit FROM edits`);
  const frameOf = await framesIn(tx);
  for (const { id, edit } of rows) {
    const now = readable(edit, frameOf);
    if (now) await tx.run(sql`UPDATE edits SET edit = ${JSON.stringify(now)} WHERE id = ${id}`);
    else await tx.run(sql`DELETE FROM edits WHERE id = ${id}`);
  }
}

function readable(stored: string, frameOf: FrameOf): Edit | undefined {
  try {
    return fromOlderEdit(JSON.parse(stored), frameOf);
  } catch {
    return undefined;
  }
}

type Column = readonly [table: string, column: string];

/** Columns of JSON that hold a piece. */
const WITH_PIECES: Column[] = [
  ["pieces", "document"],
  ["batches", "document"],
  ["deliveries", "document"],
  ["templates", "document"],
];

/** Layouts were known by their English names. */
async function giveLayoutsIds(tx: Transaction): Promise<void> {
  for (const column of WITH_PIECES) await each(tx, column, withLayoutIds);
  for (const column of ["shown_before", "shown_after"])
    await each(tx, ["edits", column], shownWithIds);
}

/** Where a local change put a node was a box in pixels. */
async function keepPlaces(tx: Transaction): Promise<void> {
  const frameOf = await framesIn(tx);
  for (const column of WITH_PIECES) await each(tx, column, (value) => withPlaces(value, frameOf));
}

/** Findings that were called fine were known by what their slot was called. */
async function knowFineBySlots(tx: Transaction): Promise<void> {
  for (const column of WITH_PIECES) await each(tx, column, withFineSlots);
}

/** The frames of all placements, also of those that the team has corrected or added. */
async function framesIn(tx: Transaction): Promise<FrameOf> {
  const rows = await tx.all<{ id: string; width: number; height: number }>(
    sql`SELECT id, document ->> 'width' AS width, document ->> 'height' AS height FROM placements`,
  );
  const own = new Map(rows.map((row) => [row.id, row]));
  return (id) => own.get(id) ?? shippedPlacement(id);
}

async function each(
  tx: Transaction,
  [table, column]: Column,
  make: (value: unknown) => unknown,
): Promise<void> {
  const [from, name] = [sql.identifier(table), sql.identifier(column)];
  const rows = await tx.all<{ at: number; stored: string }>(
    sql`SELECT rowid AS at, ${name} AS stored FROM ${from} WHERE ${name} IS NOT NULL`,
  );
  for (const { at, stored } of rows) {
    const now = madeAnew(stored, make);
    if (now !== undefined && now !== stored)
      await tx.run(sql`UPDATE ${from} SET ${name} = ${now} WHERE rowid = ${at}`);
  }
}

/** Undefined for what is no JSON: it is set aside as it is. */
function madeAnew(stored: string, make: (value: unknown) => unknown): string | undefined {
  try {
    return JSON.stringify(make(JSON.parse(stored)));
  } catch {
    return undefined;
  }
}
