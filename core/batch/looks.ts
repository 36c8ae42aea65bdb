import { brandSpreads, spreadName, type Brand } from "../brand";
import { LANGUAGES, languageName } from "../language/names";
import { Language } from "../piece";
import { pairingsOf } from "../templates";
import type { LookChange } from "./choice";
import { plain } from "./slots";
import type { Variation } from "./variation";

/** The columns of a batch that are no slots, in the order in which they are told. */
export const LOOK_COLUMNS = ["template", "typefaces", "spread", "language", "sizes"] as const;
export type LookColumn = (typeof LOOK_COLUMNS)[number];

interface Named {
  id: string;
  name: string;
}

/** What cells of those columns may name. */
export interface LookNames {
  brand: Brand;
  /** Those that can arrange the piece. */
  templates: readonly Named[];
  placements: readonly Named[];
}

export const lookColumnNamed = (heading: string): LookColumn | undefined =>
  LOOK_COLUMNS.find((column) => plain(column) === plain(heading));

/** What a cell of such a column changes; undefined where it names nothing that is known. */
export function readLook(
  column: LookColumn,
  cell: string,
  names: LookNames,
): LookChange | undefined {
  if (column === "sizes") return sizesIn(cell, names);
  if (column === "language") return languageIn(cell);
  if (column === "spread") return spreadIn(cell, names);
  const found = named(knownIn(column, names), cell);
  return found && { [column]: found.id };
}

const named = (all: readonly Named[], cell: string): Named | undefined =>
  all.find(({ id }) => id === cell.trim()) ?? all.find(({ name }) => plain(name) === plain(cell));

/** What can stand in a column. */
export function knownIn(column: LookColumn, { brand, templates, placements }: LookNames): Named[] {
  if (column === "template") return [...templates];
  if (column === "typefaces") return pairingsOf(brand);
  if (column === "sizes") return [...placements];
  if (column === "language") return LANGUAGES.map((id): Named => ({ id, name: languageName(id) }));
  return brandSpreads(brand).map((spread, at) => ({
    id: String(at + 1),
    name: spreadName(brand, spread),
  }));
}

function spreadIn(cell: string, names: LookNames): LookChange | undefined {
  const found = named(knownIn("spread", names), cell);
  return found && { spread: brandSpreads(names.brand)[Number(found.id) - 1]! };
}

function languageIn(cell: string): LookChange | undefined {
  const found = LANGUAGES.find((id) => plain(languageName(id)) === plain(cell)) ?? cell.trim();
  return Language.safeParse(found).success ? { language: found } : undefined;
}

/** Several, with commas between; all must be known. */
function sizesIn(cell: string, { placements }: LookNames): LookChange | undefined {
  const found = cell
    .split(/[,;\n]/)
    .filter((part) => part.trim() !== "")
    .map((part) => named(placements, part)?.id);
  const sizes = found.filter((id) => id !== undefined);
  return sizes.length > 0 && sizes.length === found.length ? { sizes } : undefined;
}

/** How the values of a variation are called, by column. */
export interface ValueNames {
  column: (slot: string) => string;
  picture: (id: string) => string;
  /** Of what its look is made of. */
  look: LookNames;
}

/** What a person tells variations apart by: each column's value in words. */
export function valuesOf(variation: Variation, names: ValueNames): Record<string, string> {
  const said = Object.entries(variation.message).map(([slot, value]) => [
    names.column(slot),
    "text" in value ? value.text : names.picture(value.picture),
  ]);
  const looks = LOOK_COLUMNS.flatMap((column) => {
    const value = lookValue(variation, column, names.look);
    return value === undefined ? [] : [[column, value]];
  });
  return Object.fromEntries([...said, ...looks]) as Record<string, string>;
}

/** What one of those columns has in a variation, in words. */
export function lookValue(
  { template, typefaces, spread, language, sizes }: Variation,
  column: LookColumn,
  names: LookNames,
): string | undefined {
  const nameOf = (id: string): string =>
    knownIn(column, names).find((one) => one.id === id)?.name ?? id;
  if (column === "spread") return spread && spreadName(names.brand, spread);
  if (column === "language") return language && languageName(language);
  if (column === "sizes") return sizes?.map(nameOf).join(", ");
  const id = column === "template" ? template : typefaces;
  return id && nameOf(id);
}
