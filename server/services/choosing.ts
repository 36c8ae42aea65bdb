import { group } from "d3-array";
import { and, asc, eq } from "drizzle-orm";
import {
  isUnderWay,
  type ContactSheet,
  type ContactSheetPage,
  type ResultsAnswer,
  type ResultsTable,
  type SheetVariation,
  type VariationMark,
} from "../../core/api";
import {
  lookValue,
  valuesOf,
  variationName,
  type LookColumn,
  type TableNote,
  type ValueNames,
  type Variation,
} from "../../core/batch";
import type { Compared, Looking } from "../../core/choosing";
import { Cache } from "../../core/cache";
import { knownPlacement } from "../../core/piece";
import { problem } from "../../core/problem";
import { bestValues, readResults, sayColumn, sayVariations } from "../../core/results";
import { analyse } from "../../core/statistics";
import type { ServerContext } from "../context";
import { batches, outputs, verdicts } from "../store/tables";
import { columnsOf, namesFor } from "./batch-request";
import type { BatchRow } from "./batch-runner";
import { outputAnswer, type Batches } from "./batches";
import type { Library } from "./library";
import { Measuring } from "./measuring";
import type { Pieces } from "./pieces";
import type { Placements } from "./placements";
import { VariationPieces } from "./variation-pieces";

/** More are no longer looked at one by one; an arrangement has room for them. */
const MOST_ON_A_PAGE = 100;

/** What comes of comparing all variations with each other is kept of so many of them. */
const MOST_COMPARED = 100_000;

const NOT_COMPARED: Compared = { repeats: [], distinctness: new Map() };

/** Choosing among the variations of a batch: what was measured of them, what a person decided, how they did. */
export class Choosing {
  private readonly measuring: Measuring;
  private readonly compared = new Cache<Compared>(
    MOST_COMPARED,
    ({ distinctness, repeats }) =>
      distinctness.size + repeats.reduce((sum, { variations }) => sum + variations.length, 0),
  );

  constructor(
    private readonly context: ServerContext,
    private readonly batches: Batches,
    private readonly pieces: Pieces,
    private readonly library: Library,
    private readonly placements: Placements,
  ) {
    this.measuring = new Measuring(context, placements, (row) => batches.news.soon(row));
  }

  /** All variations on one placement, the batch's first if none is said. */
  async sheet(id: string, wanted?: string): Promise<ContactSheet> {
    const row = await this.batches.row(id);
    const placement = wanted ?? row.request.placements[0]!;
    if (!row.request.placements.includes(placement))
      throw problem("not-found", { what: "size of the batch", id: placement });
    const { read } = this.context.store;
    const [batch, made, marked, names] = await Promise.all([
      this.batches.get(id),
      read
        .select()
        .from(outputs)
        .where(and(eq(outputs.batch, id), eq(outputs.placement, placement)))
        .orderBy(asc(outputs.slide)),
      read.select().from(verdicts).where(eq(verdicts.batch, id)),
      namesFor(this.library, row),
    ]);
    // What is ranked of a strip is its first slide, at which somebody stops or does not.
    const first = made.filter(({ slide }) => slide === 0);
    const outputOf = new Map(first.map((output) => [output.variation, output]));
    const later = group(
      made.filter(({ slide }) => slide > 0),
      ({ variation }) => variation,
    );
    const markOf = new Map(marked.map((mark) => [mark.variation, mark]));
    const measuring = this.measuring.begin(row, placement, first);
    // Each is compared with all others: once, when all is there, and not each time that somebody asks how far it is.
    const isWhole = measuring === 0 && !isUnderWay(batch.state);
    const { repeats, distinctness: far } = isWhole
      ? await this.compared.get(`${id} ${placement} ${row.again} ${first.length}`, () =>
          this.comparedAll(row, first),
        )
      : NOT_COMPARED;
    const variations = row.variations.map((variation, index): SheetVariation => {
      const output = outputOf.get(index);
      const mark = markOf.get(index);
      const distinctness = far.get(index);
      const { hash: _hash, colours: _colours, ...measures } = output?.measured ?? {};
      return {
        index,
        name: variationName(index, row.variations.length),
        values: valuesOf(variation, names),
        ...(mark?.verdict ? { verdict: mark.verdict } : {}),
        ...(mark?.note ? { note: mark.note } : {}),
        byHand: variation.edit !== undefined,
        ...(output ? { output: outputAnswer(output) } : {}),
        ...(later.has(index) ? { slides: later.get(index)!.map(outputAnswer) } : {}),
        ...(output?.measured
          ? {
              marks: {
                ...(measures as NonNullable<SheetVariation["marks"]>),
                ...(distinctness === undefined ? {} : { distinctness }),
              },
            }
          : {}),
      };
    });
    return {
      batch,
      placement,
      measuring,
      columns: columnsOf(variations.map(({ values }) => values)),
      variations,
      repeats,
    };
  }

  /** In a thread: each is compared with all others. */
  private comparedAll(
    { variations }: BatchRow,
    made: readonly (typeof outputs.$inferSelect)[],
  ): Promise<Compared> {
    const looks = made.flatMap(({ variation: index, measured }): Looking[] =>
      measured ? [{ index, hash: measured.hash, colours: measured.colours }] : [],
    );
    return this.context.pool.compared({ looks, words: variations.map(wordsOf) });
  }

  /**
   * A contact sheet to be sent round: the variations on one placement, or those of them that were so decided; the first
   * hundred. Throws `batch-empty` where there are none.
   */
  async page(
    id: string,
    { placement: wanted, shown, format }: ContactSheetPage,
  ): Promise<{ name: string; bytes: Uint8Array }> {
    const row = await this.batches.row(id);
    const { batch, placement, variations } = await this.sheet(id, wanted);
    const chosen = variations.filter(
      ({ verdict = "open" }) => shown === "all" || verdict === shown,
    );
    if (chosen.length === 0) throw problem("batch-empty");
    const { crate } = await this.pieces.get(batch.piece);
    const lookup = await this.placements.asOf(row.places);
    const place = knownPlacement(row.document, placement, lookup);
    const pieces = new VariationPieces(row, this.context.pool);
    const tasks = chosen
      .slice(0, MOST_ON_A_PAGE)
      .map(async ({ index, name }) => ({ name, ...(await pieces.at(index, place)) }));
    const date = new Intl.DateTimeFormat("en-GB", { dateStyle: "long" }).format(this.context.now());
    const count =
      chosen.length > MOST_ON_A_PAGE
        ? `the first ${MOST_ON_A_PAGE} of ${chosen.length}`
        : `${chosen.length}`;
    const title = `${row.document.title}, ${place.name}: ${count} of ${variations.length} variations`;
    const about = { crate: crate.name, title, brand: row.brand.name, date };
    const bytes = await this.context.pool.contactSheet({
      variations: await Promise.all(tasks),
      brand: row.brand,
      placement: place,
      about,
      format,
    });
    return { name: `${row.document.title}, contact sheet.${format}`, bytes };
  }

  /** Writes down what a person decides of a variation. */
  async mark(id: string, variation: number, change: VariationMark): Promise<void> {
    await this.batches.rowWith(id, variation);
    const key = { batch: id, variation };
    const isIt = and(eq(verdicts.batch, id), eq(verdicts.variation, variation));
    await this.context.store.write(async (tx) => {
      await tx.insert(verdicts).values(key).onConflictDoNothing();
      if (Object.keys(change).length > 0) await tx.update(verdicts).set(change).where(isIt);
    });
  }

  /** Joins a report of how variations did to the batch, in place of an earlier one. */
  async readResults(id: string, { table, shown, acted }: ResultsTable): Promise<ResultsAnswer> {
    const row = await this.batches.row(id);
    const { results, notes } = readResults(table, namedOf(row), { shown, acted });
    await this.context.store.write((tx) =>
      tx.update(batches).set({ results }).where(eq(batches.id, id)),
    );
    return this.analysed({ ...row, results }, notes);
  }

  /** What was read before. Throws `not-found` as long as nothing was. */
  async results(id: string): Promise<ResultsAnswer> {
    return this.analysed(await this.batches.row(id), []);
  }

  async removeResults(id: string): Promise<void> {
    await this.batches.row(id);
    await this.context.store.write((tx) =>
      tx.update(batches).set({ results: null }).where(eq(batches.id, id)),
    );
  }

  private async analysed(row: BatchRow, notes: TableNote[]): Promise<ResultsAnswer> {
    if (!row.results) throw problem("not-found", { what: "report on batch", id: row.id });
    const names = await namesFor(this.library, row);
    const valuesAt = (index: number): Record<string, string> => {
      const variation = row.variations[index];
      return variation ? valuesOf(variation, names) : {};
    };
    const analysis = analyse(row.results, valuesAt);
    const nameOf = (index: number): string => variationName(index, row.variations.length);
    return {
      analysis,
      said: {
        variations: sayVariations(analysis, nameOf),
        columns: Object.fromEntries(
          analysis.columns.map((effect) => [effect.column, sayColumn(effect)]),
        ),
      },
      next: nextOf(row, bestValues(analysis, valuesAt), names),
      notes,
    };
  }
}

const namedOf = ({ variations }: BatchRow) =>
  variations.map((_, index) => ({ index, name: variationName(index, variations.length) }));

/** What the variations with those values had, as a batch is asked for. */
function nextOf(
  { variations }: BatchRow,
  best: Readonly<Record<string, readonly string[]>>,
  names: ValueNames,
): ResultsAnswer["next"] {
  const pictures = new Set<string>();
  const words: [string, readonly string[]][] = [];
  for (const [column, wanted] of Object.entries(best)) {
    if (isChosenBeside(column)) continue;
    const shown = variations.flatMap(({ message }) =>
      Object.entries(message).flatMap(([slot, value]) =>
        names.column(slot) === column && "picture" in value ? [value.picture] : [],
      ),
    );
    if (shown.length === 0) words.push([column, wanted]);
    for (const id of shown) if (wanted.includes(names.picture(id))) pictures.add(id);
  }
  /** The variations with the best values of a column, one for each. */
  const withBest = (column: LookColumn): Variation[] => [
    ...new Map(
      variations.flatMap((one): [string, Variation][] => {
        const value = lookValue(one, column, names.look);
        return value !== undefined && best[column]?.includes(value) ? [[value, one]] : [];
      }),
    ).values(),
  ];
  const rows = Math.max(0, ...words.map(([, values]) => values.length));
  const table = {
    columns: words.map(([column]) => column),
    rows: Array.from({ length: rows }, (_, at) => words.map(([, values]) => values[at] ?? "")),
  };
  return {
    ...(rows > 0 ? { table } : {}),
    pictures: [...pictures],
    spreads: withBest("spread").flatMap(({ spread }) => spread ?? []),
    templates: withBest("template").flatMap(({ template }) => template ?? []),
    typefaces: withBest("typefaces").flatMap(({ typefaces }) => typefaces ?? []),
  };
}

/** Those of looks that stand in no table. */
const isChosenBeside = (column: string): boolean =>
  column === "spread" || column === "template" || column === "typefaces";

const wordsOf = ({ message }: BatchRow["variations"][number], index: number) => ({
  index,
  words: Object.values(message)
    .flatMap((value) => ("text" in value ? [value.text] : []))
    .join(" "),
});
