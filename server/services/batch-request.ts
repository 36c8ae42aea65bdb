import type { BatchRequest } from "../../core/api";
import {
  batchSlots,
  columnNames,
  knownIn,
  LOOK_COLUMNS,
  readTable,
  tableNote,
  unequal,
  type Combining,
  type Lists,
  type LookColumn,
  type LookNames,
  type ValueNames,
} from "../../core/batch";
import { isPicture, knownPlacement, type Piece } from "../../core/piece";
import type { PlacementLookup } from "../../core/placements";
import { problem } from "../../core/problem";
import { isStrip } from "../../core/strip";
import { isStripTemplate, type Template } from "../../core/templates";
import type { BatchRow } from "./batch-runner";
import type { Library } from "./library";
import type { Templates } from "./templates";

const NO_TABLE: Lists = { columns: [], rows: [], notes: [] };

/** What a batch is asked for with: its pictures, templates and placements are looked up here. */
export interface Known {
  library: Library;
  templates: Templates;
  lookup: PlacementLookup;
}

/** The templates that can arrange a piece: of a strip, those of strips. */
export async function arranging(piece: Piece, { templates }: Known): Promise<Template[]> {
  const { templates: all } = await templates.list();
  return all.filter((one) => isStripTemplate(one) === isStrip(piece));
}

async function looksFor(piece: Piece, known: Known): Promise<LookNames> {
  const brand = await known.library.brand(piece.brand);
  const placements = piece.sizes.map(({ placement }) =>
    knownPlacement(piece, placement, known.lookup),
  );
  return { brand, templates: await arranging(piece, known), placements };
}

/** Throws `not-found` for what is not there. */
function refuseUnknown(wanted: readonly string[], column: LookColumn, looks: LookNames): void {
  const ids = new Set(knownIn(column, looks).map(({ id }) => id));
  const id = wanted.find((one) => !ids.has(one));
  if (id !== undefined) throw problem("not-found", { what: column, id });
}

/** What a request asks to be combined. Throws what `readTable` throws, and `not-found` for what is not there. */
export async function combiningOf(
  piece: Piece,
  request: BatchRequest,
  known: Known,
): Promise<Combining> {
  const { library } = known;
  const pictures = await library.pictures();
  const looks = await looksFor(piece, known);
  const { table, pairing, sample, spreads, templates, typefaces } = request;
  refuseUnknown(templates, "template", looks);
  refuseUnknown(typefaces, "typefaces", looks);
  const chosenBeside = [request.pictures?.ids ?? [], spreads, templates, typefaces];
  const beside = chosenBeside.some(({ length }) => length > 0);
  // A table that is still empty is no table where something else varies.
  const lists =
    table && (table.rows.length > 0 || !beside)
      ? readTable(table, piece, pictures, looks)
      : NO_TABLE;
  for (const id of request.pictures?.ids ?? []) await library.picture(id);
  const slots = batchSlots(piece);
  const slotOf = (column: string) => slots.find(({ name }) => name === column);
  const columnOf = (column: string): string => slotOf(column)?.id ?? column;
  const valueOf = (column: string, value: string): string =>
    isPicture(slotOf(column)?.filling)
      ? (pictures.find(({ id, name }) => id === value || name === value)?.id ?? value)
      : value;
  const never = request.never.map((condition) =>
    Object.fromEntries(
      Object.entries(condition).map(([column, value]) => [
        columnOf(column),
        valueOf(column, value),
      ]),
    ),
  );
  const chosen = request.pictures?.ids.length
    ? { ...request.pictures, slot: columnOf(request.pictures.slot) }
    : undefined;
  const groups = request.groups.map((group) => group.map(columnOf));
  const values = { lists, pictures: chosen, spreads, templates, typefaces };
  const combining = { ...values, pairing, groups, never, sample };
  const nameOf = columnNames(piece);
  const rounds = unequal(combining).map((about) =>
    tableNote("comes-round", { ...about, shorter: nameOf(about.shorter) }),
  );
  return { ...combining, lists: { ...lists, notes: [...lists.notes, ...rounds] } };
}

/** How the values of a batch's variations are called. */
export async function namesFor(
  library: Library,
  { document, brand, templates, places }: BatchRow,
): Promise<ValueNames> {
  const names = new Map((await library.pictures()).map(({ id, name }) => [id, name]));
  return {
    column: columnNames(document),
    picture: (id) => names.get(id) ?? "a picture that is gone",
    look: { brand, templates, placements: places ?? [] },
  };
}

/** The columns of a batch in the order in which they vary: looks after words and pictures. */
export const columnsOf = (values: readonly Readonly<Record<string, string>>[]): string[] => {
  const all = new Set(values.flatMap(Object.keys));
  const looks = LOOK_COLUMNS.filter((column) => all.delete(column));
  return [...all, ...looks];
};
