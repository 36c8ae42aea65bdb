import {
  knownIn,
  lookColumnNamed,
  type BatchSlot,
  type ColumnSlot,
  type LookColumn,
  type LookNames,
  type Table,
} from "../../../core/batch";
import { spreadName } from "../../../core/brand";
import type { Spread } from "../../../core/colour";
import { slotName } from "../../../core/message";

/** What varies: its different values, as conditions name them and as they are read. */
export interface BatchColumn {
  name: string;
  label: string;
  values: { key: string; label: string }[];
}

/** What is chosen beside the table, by ids. */
export interface Beside {
  /** Pictures, for this slot. */
  slot: BatchSlot | undefined;
  pictures: readonly string[];
  templates: readonly string[];
  typefaces: readonly string[];
  spreads: readonly Spread[];
}

/** All that varies, in the order in which it is mixed; what is chosen beside the table stands for a column of that name. */
export function varyingColumns(
  table: Table | undefined,
  matches: readonly ColumnSlot[],
  beside: Beside,
  looks: LookNames,
  pictureName: (id: string) => string,
): BatchColumn[] {
  const chosen = besideTable(beside, looks, pictureName);
  const ofTable = (table?.columns ?? []).flatMap((heading, at) => {
    const name = matches[at]?.slot?.name ?? lookColumnNamed(heading);
    if (!name || chosen.some((one) => one.name === name)) return [];
    const cells = new Set(table!.rows.map((row) => row[at]?.trim() ?? ""));
    return [column(name, [...cells].filter(Boolean), (cell) => cell)];
  });
  return [...ofTable, ...chosen];
}

function besideTable(
  { slot, pictures, templates, typefaces, spreads }: Beside,
  looks: LookNames,
  pictureName: (id: string) => string,
): BatchColumn[] {
  const nameIn = (look: LookColumn) => (id: string) =>
    knownIn(look, looks).find((one) => one.id === id)?.name ?? id;
  const places = spreads.map((_, index) => String(index + 1));
  const all = [
    ...(slot ? [column(slot.name, pictures, pictureName)] : []),
    column("template", templates, nameIn("template")),
    column("typefaces", typefaces, nameIn("typefaces")),
    column("spread", places, (place) => spreadName(looks.brand, spreads[Number(place) - 1]!)),
  ];
  return all.filter(({ values }) => values.length > 0);
}

const column = (
  name: string,
  keys: readonly string[],
  labelOf: (key: string) => string,
): BatchColumn => ({
  name,
  label: slotName(name),
  values: keys.map((key) => ({ key, label: labelOf(key) })),
});
