import type { BatchRequest } from "../../core/api";
import {
  batchSlots,
  columnNames,
  readTable,
  SPREAD_COLUMN,
  tableNote,
  unequal,
  type Combining,
  type Lists,
  type ValueNames,
} from "../../core/batch";
import { spreadName, type Brand } from "../../core/brand";
import { isPicture, type Piece } from "../../core/piece";
import type { Library } from "./library";

const NO_TABLE: Lists = { slots: [], rows: [], notes: [] };

/** What a request asks to be combined. Throws what `readTable` throws, and `not-found` for a picture. */
export async function combiningOf(
  piece: Piece,
  request: BatchRequest,
  library: Library,
): Promise<Combining> {
  const pictures = await library.pictures();
  const { table, pairing, sample, spreads } = request;
  const beside = (request.pictures?.ids.length ?? 0) > 0 || spreads.length > 0;
  // A table that is still empty is no table where something else varies.
  const lists =
    table && (table.rows.length > 0 || !beside) ? readTable(table, piece, pictures) : NO_TABLE;
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
  const combining = { lists, pictures: chosen, spreads, pairing, groups, never, sample };
  const nameOf = columnNames(piece);
  const rounds = unequal(combining).map((about) =>
    tableNote("comes-round", { ...about, shorter: nameOf(about.shorter) }),
  );
  return { ...combining, lists: { ...lists, notes: [...lists.notes, ...rounds] } };
}

/** How the values of a batch's variations are called. */
export async function namesFor(
  library: Library,
  { document, brand }: { document: Piece; brand: Brand },
): Promise<ValueNames> {
  const names = new Map((await library.pictures()).map(({ id, name }) => [id, name]));
  return {
    column: columnNames(document),
    picture: (id) => names.get(id) ?? "a picture that is gone",
    spread: (spread) => spreadName(brand, spread),
  };
}

/** The columns of a batch in the order in which they vary. */
export const columnsOf = (values: readonly Readonly<Record<string, string>>[]): string[] => {
  const all = new Set(values.flatMap(Object.keys));
  const last = all.delete(SPREAD_COLUMN) ? [SPREAD_COLUMN] : [];
  return [...all, ...last];
};
