import { setAt } from "../../type";
import { GAP } from "../structure/gaps";
import { isList, type Item, type Row } from "../structure/parts";
import { stack, textBlock, type Block } from "./block";
import type { CellLayout, ItemRoom } from "./items";

/** An icon's side beside text, in sizes of that text. By eye. */
export const ICON = 2.6;

/** The figure of a price among words is so much larger than they are. By eye. */
export const PRICE = 1.7;

/** Where the second cells of all rows start, so that they share an edge. */
export function rowStart({ width, size }: ItemRoom, items: readonly Item[]): number {
  const firsts = items.flatMap((item) => (item.type === "row" ? [item.cells[0]!] : []));
  const widest = Math.max(0, ...firsts.map(({ paragraph }) => paragraph.naturalWidth(1) * size));
  return Math.min(widest + 1.5 * size, 0.62 * width);
}

/** In usual sizes of the text; a column as narrow as this has no room for two cells. */
export const NARROW = 14;

/** Cells side by side from shared edges. */
export const rowBlock =
  ({ width, size }: ItemRoom, start: number): CellLayout =>
  ({ cells }) => {
    const step = cells.length > 2 ? width / cells.length : start;
    const sets = cells.map(({ paragraph }, i) => {
      const last = i === cells.length - 1;
      return setAt(paragraph, size, last ? width - i * step : step - 0.8 * size, last ? 2 : 1);
    });
    if (sets.some((set) => set === undefined)) return undefined;
    const blocks = sets.map((set, i) => textBlock(cells[i]!, set!));
    const ascent = Math.max(...sets.map((set) => set!.ascent));
    const tops = sets.map((set) => ascent - set!.ascent);
    const height = Math.max(...blocks.map((block, i) => tops[i]! + block.height));
    const last = blocks.length - 1;
    return {
      width: last * step + blocks[last]!.width,
      height,
      baseline: Math.max(...blocks.map((block, i) => tops[i]! + block.baseline)),
      lines: { size, first: ascent },
      place: (x, y) => blocks.flatMap((block, i) => block.place(x + i * step, y + tops[i]!)),
    };
  };
export const stackedCells =
  ({ width, size }: ItemRoom): CellLayout =>
  ({ cells }) => {
    const blocks = cells.map((node) => {
      const set = setAt(node.paragraph, size, width);
      return set && textBlock(node, set);
    });
    if (blocks.some((block) => block === undefined)) return undefined;
    return stack(
      blocks as Block[],
      blocks.slice(1).map(() => GAP.tight * size),
    );
  };

/** How wide items would like to be, in sizes of the text: short lines on one line, longer ones on two. */
export function naturalWidth(items: readonly Item[]): number {
  const rows = items.flatMap((item) => (item.type === "row" ? [item] : []));
  const widest = (cells: (row: Row) => Row["cells"]) =>
    Math.max(0, ...rows.map((row) => cells(row).reduce((sum, cell) => sum + widthOf(cell), 0)));
  const inRows = widest(({ cells }) => cells.slice(0, 1)) + widest(({ cells }) => cells.slice(1));
  return Math.max(rows.length > 0 ? inRows : 0, ...items.map(ownWidth));
}

/** A cell on one line, with the gap behind it. */
const widthOf = ({ paragraph }: Row["cells"][number]): number => paragraph.naturalWidth(1) + 1.5;
function ownWidth(item: Item): number {
  switch (item.type) {
    case "text":
      return item.paragraph.naturalWidth(item.paragraph.parts.length > 5 && !isList(item) ? 2 : 1);
    case "icon":
      return ICON;
    case "price":
      return item.figure.paragraph.naturalWidth(1) * PRICE;
    case "row":
    case "code":
    case "shape":
      return 0;
  }
}
