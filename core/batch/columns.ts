import { greatest, rollup } from "d3-array";
import { slotByForm, slotHints } from "../message";
import { isPicture, isText } from "../piece";
import { plain, slotNamed, type BatchSlot } from "./slots";
import type { PictureName, Table } from "./table";

/** The slot that a column is for, by its heading or else by what stands in its cells; none where neither says it. */
export interface ColumnSlot {
  slot?: BatchSlot;
  by?: "name" | "content";
}

/** So many cells say what a column is for. */
const MOST_CELLS = 200;
/** A column is for what at least so much of it is. By eye. */
const MOST_OF_IT = 0.6;
/** Letters of a headline, on the mean: fewer are a word, such as a colour or a mark. Common practice. */
const HEADLINE = { least: 9, most: 60 };

/**
 * What each column is for. A heading counts first, and each slot once; a heading that names nothing leaves it to the cells. One in
 * parentheses, or that names a slot that the piece does not have, is for nothing, whatever its cells are.
 */
export function columnSlots(
  { columns, rows }: Table,
  slots: readonly BatchSlot[],
  pictures: readonly PictureName[],
  isTaken: (heading: string) => boolean = () => false,
): ColumnSlot[] {
  const used = new Set<string>();
  const found = columns.map((heading): ColumnSlot => {
    const slot = slotNamed(heading, slots);
    if (!slot || used.has(slot.id)) return {};
    used.add(slot.id);
    return { slot, by: "name" };
  });
  const free = () => slots.filter(({ id }) => !used.has(id));
  for (const guess of [byForm(pictures), asHeadline])
    columns.forEach((heading, at) => {
      if (found[at]!.slot || saysWhatFor(heading, slots) || isTaken(heading)) return;
      const cells = rows.slice(0, MOST_CELLS).flatMap((row) => row[at]?.trim() || []);
      const slot = cells.length > 0 ? guess(cells, free()) : undefined;
      if (!slot) return;
      used.add(slot.id);
      found[at] = { slot, by: "content" };
    });
  return found;
}

type Guess = (cells: readonly string[], free: readonly BatchSlot[]) => BatchSlot | undefined;

/** A column of names of pictures, of dates, prices, addresses … */
function byForm(pictures: readonly PictureName[]): Guess {
  const known = new Set(pictures.flatMap(({ id, name }) => [id, plain(name)]));
  return (cells, free) => {
    const kinds = cells.map((cell) =>
      known.has(cell) || known.has(plain(cell)) ? "picture" : slotByForm(cell),
    );
    const counts = rollup(
      kinds,
      (all) => all.length,
      (kind) => kind,
    );
    const [kind, count] = greatest([...counts], ([, many]) => many)!;
    if (kind === undefined || count < MOST_OF_IT * cells.length) return undefined;
    return free.find(({ filling, id }) =>
      kind === "picture" ? isPicture(filling) : isText(filling) && bare(id) === kind,
    );
  };
}

/** Words of no form, no longer than a headline, most of which differ. */
const asHeadline: Guess = (cells, free) => {
  const letters = cells.reduce((sum, cell) => sum + cell.length, 0) / cells.length;
  const differ = new Set(cells).size >= MOST_OF_IT * cells.length;
  const plainWords = cells.filter((cell) => slotByForm(cell) === undefined && /\p{L}/u.test(cell));
  const isHeadline = letters >= HEADLINE.least && letters <= HEADLINE.most;
  if (!isHeadline || !differ || plainWords.length < MOST_OF_IT * cells.length) return undefined;
  return free.find(({ id, slide }) => slide === 0 && bare(id) === "headline");
};

const bare = (id: string): string => id.split("/").at(-1)!;

/** A heading in parentheses: the column is for nothing, and nothing needs to be said of it. */
export const isAside = (heading: string): boolean => /^\s*\(.*\)\s*$/.test(heading);

export const asAside = (heading: string): string => (isAside(heading) ? heading : `(${heading})`);

const saysWhatFor = (heading: string, slots: readonly BatchSlot[]): boolean =>
  slotNamed(heading, slots) !== undefined ||
  isAside(heading) ||
  Object.entries(slotHints).some(([slot, { name }]) =>
    [slot, name].some((known) => plain(known) === plain(heading)),
  );
