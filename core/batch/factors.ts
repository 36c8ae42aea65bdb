import { z } from "zod";
import type { Spread } from "../colour";
import { choiceOf, merged, type Choice } from "./choice";
import type { Lists } from "./table";
import type { Variation } from "./variation";

export const Pairing = z.enum(["in-step", "every-mix", "together"]);
export type Pairing = z.infer<typeof Pairing>;

/** The lists to combine: the table's, with pictures for one slot and looks beside it. */
export interface Combining {
  lists: Lists;
  pictures?: { slot: string; ids: readonly string[] } | undefined;
  spreads?: readonly Spread[] | undefined;
  /** Templates and ways of using the kit's typefaces, by their ids. */
  templates?: readonly string[] | undefined;
  typefaces?: readonly string[] | undefined;
  pairing: Pairing;
  /** For `together`: columns that go in step with each other; each other column is mixed with the rest. */
  groups?: readonly (readonly string[])[] | undefined;
  /** Never these values in one variation, by column: the text, what is chosen by its id, a spread by its place from 1. */
  never?: readonly Condition[] | undefined;
  sample?: Sample | undefined;
}

/** All mixes, or so few that every value stands beside every value of the other columns at least once. */
export const Sample = z.enum(["all", "pairs"]);
export type Sample = z.infer<typeof Sample>;

export const Condition = z.record(z.string().max(200), z.string().max(10_000));
export type Condition = z.infer<typeof Condition>;

/** Columns that go in step; factors are mixed with each other. */
export interface Factor {
  columns: string[];
  choices: Choice[];
}

/** One column's values; undefined where a row keeps the piece's own. */
interface Column {
  name: string;
  values: readonly (Choice | undefined)[];
}

export function factorsOf(combining: Combining): Factor[] {
  const { lists, pairing, groups = [] } = combining;
  const columns = columnsOf(combining);
  if (pairing === "in-step") {
    const factor = inStep(columns, lists.rows.length);
    return factor.choices.length > 0 ? [factor] : [];
  }
  const grouped = pairing === "together" ? groups : [];
  const taken = new Set<string>();
  const parts = columns.flatMap((column) => {
    if (taken.has(column.name)) return [];
    const names = grouped.find((group) => group.includes(column.name)) ?? [column.name];
    const part = columns.filter(({ name }) => names.includes(name) && !taken.has(name));
    for (const { name } of part) taken.add(name);
    return [part];
  });
  // Equal rows of a factor count once; rows that change nothing are none.
  return parts.map((part) => unique(inStep(part, 0))).filter(({ choices }) => choices.length > 0);
}

/** The table's columns, then what is chosen beside it, each as long as its own list. */
function columnsOf({ lists, pictures, spreads, templates, typefaces }: Combining): Column[] {
  const ofTable = lists.columns.map((name) => ({
    name,
    values: lists.rows.map((row) => row[name]),
  }));
  const beside: Column[] = [
    ...(pictures
      ? [
          column(pictures.slot, pictures.ids, (id) => ({
            message: { [pictures.slot]: { picture: id } },
          })),
        ]
      : []),
    column("template", templates, (template) => ({ template })),
    column("typefaces", typefaces, (typefaces) => ({ typefaces })),
    {
      name: "spread",
      values: (spreads ?? []).map((spread, at) => choiceOf("spread", String(at + 1), { spread })),
    },
  ];
  // What is chosen beside the table stands in for a column of the same name.
  const chosen = beside.filter(({ values }) => values.length > 0);
  return [...ofTable.filter((own) => !chosen.some(({ name }) => name === own.name)), ...chosen];
}

const column = (
  name: string,
  ids: readonly string[] = [],
  changeOf: (id: string) => Partial<Variation>,
): Column => ({ name, values: ids.map((id) => choiceOf(name, id, changeOf(id))) });

/** Row by row; a column shorter than the longest comes round again. With a table its rows are what is made. */
function inStep(columns: readonly Column[], rows: number): Factor {
  const length = rows || Math.max(0, ...columns.map(({ values }) => values.length));
  const choices = Array.from({ length }, (_, index) =>
    merged(columns.map(({ values }) => values[index % values.length])),
  );
  return { columns: columns.map(({ name }) => name), choices };
}

function unique({ columns, choices }: Factor): Factor {
  const different = new Map(choices.map((choice) => [JSON.stringify(choice.keys), choice]));
  different.delete("{}");
  return { columns, choices: [...different.values()] };
}

/** Columns of one factor that are not equally long, so that the shorter come round again. */
export function unequal(combining: Combining): { shorter: string; has: number; longer: number }[] {
  const columns = columnsOf(combining);
  return factorsOf(combining).flatMap(({ columns: names, choices }) =>
    combining.pairing === "every-mix"
      ? []
      : columns
          .filter(({ name, values }) => names.includes(name) && values.length !== choices.length)
          .filter(({ name }) => !combining.lists.columns.includes(name))
          .map(({ name, values }) => ({
            shorter: name,
            has: values.length,
            longer: choices.length,
          })),
  );
}
