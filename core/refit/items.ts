import { box } from "../geometry";
import type { CodeNode, IconNode, ResolvedNode, ShapeNode } from "../resolve";
import { setAt } from "../type";
import { platePad, stack, textBlock, type Block } from "./block";
import { baselineStep, GAP } from "./gaps";
import type { Item, Row } from "./parts";
import type { Stage } from "./stage";

/** Where items are set: `size` is the running text's, `width` the measure, in output pixels. */
export interface ItemRoom {
  stage: Stage;
  width: number;
  size: number;
}

/** An icon's side beside text, in sizes of that text. By eye. */
const ICON = 2.6;
/** A code is scanned from a screen at arm's length: its least side in CSS pixels, and as a share of the frame. Common practice. */
const CODE_CSS = 84;
const CODE_SHARE = 0.17;
/** Kickers are a little smaller than the text, and short. */
const KICKER = 0.88;
const KICKER_LINES = 2;

/** The items one under the other; undefined when one cannot be set in the width. */
export function itemsBlock(
  room: ItemRoom,
  items: readonly Item[],
  align: number,
): Block | undefined {
  return room.stage.once(items, [room.width, room.size, align], () => stackOf(room, items, align));
}

function stackOf(room: ItemRoom, items: readonly Item[], align: number): Block | undefined {
  const start = rowStart(room, items);
  const sideBySide = allBlocks(items, (item) => itemBlock(room, item, rowBlock(room, start)));
  // Rows are alike: where one does not fit on its line, the cells of all stand one under the other.
  const narrow = room.width < NARROW * room.stage.unit && items.some(({ type }) => type === "row");
  const blocks =
    sideBySide ??
    (narrow ? allBlocks(items, (item) => itemBlock(room, item, stackedCells(room))) : undefined);
  if (!blocks) return undefined;
  const gaps = blocks.slice(1).map((block, i) => gapBetween(blocks[i]!, block, room));
  return stack(blocks, gaps, align);
}

function gapBetween(above: Block, below: Block, room: ItemRoom): number {
  const alike = above.lines && below.lines && above.lines.size === below.lines.size;
  if (!alike) return GAP.within * room.size;
  const step = baselineStep({ ...room, size: below.lines!.size });
  return step - (above.height - above.baseline) - below.lines!.first;
}

function allBlocks(
  items: readonly Item[],
  make: (item: Item) => Block | undefined,
): Block[] | undefined {
  const blocks: Block[] = [];
  for (const item of items) {
    const block = make(item);
    if (!block) return undefined;
    blocks.push(block);
  }
  return blocks;
}

type CellLayout = (row: Row) => Block | undefined;

function itemBlock(room: ItemRoom, item: Item, ofRow: CellLayout): Block | undefined {
  const { stage, width, size } = room;
  switch (item.type) {
    case "text": {
      const kicker = item.role === "kicker";
      const usual = kicker ? Math.max(stage.floor, KICKER * size) : size;
      const most = kicker ? KICKER_LINES : undefined;
      const at = (own: number) =>
        setAt(item.paragraph, own, width - 2 * platePad(item) * own, most);
      const set = at(usual * stage.emphasis(item)) ?? at(usual);
      return set && textBlock(item, set);
    }
    case "icon":
      return solid(item, ICON * size, ICON * size, room);
    case "code": {
      const side = Math.max(CODE_CSS / stage.css, CODE_SHARE * stage.extent);
      return solid(item, side, side, room);
    }
    case "shape":
      return lineBlock(room, item);
    case "row":
      return ofRow(item);
  }
}

const solid = (
  node: IconNode | CodeNode | ShapeNode,
  width: number,
  height: number,
  room: ItemRoom,
) => (width <= room.width ? areaBlock(node, width, height) : undefined);

const areaBlock = (node: ResolvedNode, width: number, height: number): Block => ({
  width,
  height,
  baseline: height,
  place: (x, y) => [{ node, box: box(x, y, width, height), turn: 0 }],
});

/** A rule keeps its share of the frame's width and its own thickness. */
function lineBlock({ stage, width }: ItemRoom, node: ShapeNode): Block {
  const share = node.box.width / stage.lead.width;
  const thick = Math.max(1 / stage.css, node.box.height * stage.leadScale);
  return areaBlock(node, Math.min(width, share * stage.frame.width * 1.2), thick);
}

/** Where the second cells of all rows start, so that they share an edge. */
function rowStart({ width, size }: ItemRoom, items: readonly Item[]): number {
  const firsts = items.flatMap((item) => (item.type === "row" ? [item.cells[0]!] : []));
  const widest = Math.max(0, ...firsts.map(({ paragraph }) => paragraph.naturalWidth(1) * size));
  return Math.min(widest + 1.5 * size, 0.62 * width);
}

/** In usual sizes of the text; a column as narrow as this has no room for two cells. */
const NARROW = 14;

/** Cells side by side from shared edges. */
const rowBlock =
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

const stackedCells =
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
      return item.paragraph.naturalWidth(item.paragraph.parts.length > 5 ? 2 : 1);
    case "icon":
      return ICON;
    case "row":
    case "code":
    case "shape":
      return 0;
  }
}
