import { box } from "../../geometry";
import type { CodeNode, IconNode, ResolvedNode, ShapeNode, TextNode } from "../../resolve";
import { setAt, setInColumns, setToFit, type SetText } from "../../type";
import { onOneLine, platePad, stack, textBlock, type Block } from "./block";
import { apartStep, baselineStep, GAP } from "../structure/gaps";
import { isDisplay, isList, type Item, type Price, type Row } from "../structure/parts";
import { groupOf } from "../structure/dropping";
import type { Stage } from "../structure/stage";
import { ICON, NARROW, PRICE, rowBlock, rowStart, stackedCells } from "./rows";

/** Where items are set: `size` is the running text's, `width` the measure, in output pixels. */
export interface ItemRoom {
  stage: Stage;
  width: number;
  size: number;
}

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
  const sideBySide = blocksOf(room, items, rowBlock(room, start));
  // Rows are alike: where one does not fit on its line, the cells of all stand one under the other.
  const narrow = room.width < NARROW * room.stage.unit && items.some(({ type }) => type === "row");
  const blocks = sideBySide ?? (narrow ? blocksOf(room, items, stackedCells(room)) : undefined);
  if (!blocks) return undefined;
  const gaps = blocks.slice(1).map(({ block, group }, i) => {
    const above = blocks[i]!;
    return gapBetween(above.block, block, above.group === group, room);
  });
  return stack(
    blocks.map(({ block }) => block),
    gaps,
    align,
  );
}

interface Grouped {
  block: Block;
  group: string;
}

/** A block for each item; facts flow on one line where room is scarce and a line holds them. */
function blocksOf(
  room: ItemRoom,
  items: readonly Item[],
  ofRow: CellLayout,
): Grouped[] | undefined {
  const blocks: Grouped[] = [];
  let height = 0;
  for (let i = 0; i < items.length; i++) {
    // Of a great many, the rest need not be set to know that they have no room.
    if (height > room.stage.frame.height) return undefined;
    const group = groupOf(items[i]!);
    const facts = room.stage.tight && group === "facts" ? factsFrom(items, i) : [];
    if (facts.length > 1) {
      const lines = flowing(room, facts, ofRow);
      if (!lines) return undefined;
      blocks.push(...lines.map((block) => ({ block, group })));
      i += facts.length - 1;
      continue;
    }
    const block = itemBlock(room, items[i]!, ofRow);
    if (!block) return undefined;
    blocks.push({ block, group });
    height += block.height;
  }
  return blocks;
}

function factsFrom(items: readonly Item[], from: number): readonly Item[] {
  const end = items.findIndex((item, i) => i > from && groupOf(item) !== "facts");
  return items.slice(from, end < 0 ? undefined : end);
}

/** Between two facts on one line, in sizes of the text. */
const FACT_GAP = 1.2;

/** As many of the items on each line as it holds. */
function flowing(room: ItemRoom, items: readonly Item[], ofRow: CellLayout): Block[] | undefined {
  const blocks = allBlocks(items, (item) => itemBlock(room, item, ofRow));
  if (!blocks) return undefined;
  const gap = FACT_GAP * room.size;
  const lines: Block[] = [];
  for (const block of blocks) {
    const last = lines.at(-1);
    const fits =
      last && last.width + gap + block.width <= room.width && isLine(last) && isLine(block);
    if (fits) lines.splice(-1, 1, onOneLine(last, block, gap));
    else lines.push(block);
  }
  return lines;
}

/** One line of text, and not a paragraph. */
const isLine = ({ height, lines }: Block): boolean =>
  lines !== undefined && height < 1.6 * lines.size;

const AT_ANY_HEIGHT = { height: Infinity, mostLines: 12 } as const;
/** Between the ink of two lines, in sizes of the larger. */
const LEAST_GAP = 0.46;

function gapBetween(above: Block, below: Block, together: boolean, room: ItemRoom): number {
  const more = together ? 0 : apartStep(room);
  if (!above.lines || !below.lines) return GAP.within * room.size;
  const larger = Math.max(above.lines.size, below.lines.size);
  const step = baselineStep({ ...room, size: below.lines.size }) + more;
  const gap = step - (above.height - above.baseline) - below.lines.first;
  return Math.max(gap, LEAST_GAP * larger);
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

export type CellLayout = (row: Row) => Block | undefined;

function itemBlock(room: ItemRoom, item: Item, ofRow: CellLayout): Block | undefined {
  const { stage, width, size } = room;
  switch (item.type) {
    case "text": {
      const kicker = item.role === "kicker";
      const usual = kicker ? stage.smaller(size, KICKER) : size;
      const smallest = kicker ? Math.max(stage.floor, KICKER * size) : size;
      const most = kicker ? KICKER_LINES : undefined;
      const columns = isList(item) ? stage.listColumns : 1;
      const at = (own: number) =>
        columns > 1
          ? setInColumns(item.paragraph, own, width, columns)
          : isDisplay(item) && !most && !item.plate
            ? setToFit(item.paragraph, { ...AT_ANY_HEIGHT, width, min: own, max: own })
            : setAt(item.paragraph, own, width - 2 * platePad(item) * own, most);
      const set = emphasised(usual, stage.emphasis(item), at) ?? at(usual) ?? at(smallest);
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
    case "price":
      return priceBlock(room, item);
  }
}

/** What was composed larger than the text is called out, so it takes two lines at the most; else it is less loud. */
function emphasised(
  usual: number,
  times: number,
  at: (size: number) => SetText | undefined,
): SetText | undefined {
  for (const share of times > 1 ? [1, 0.5] : []) {
    const set = at(usual * (1 + share * (times - 1)));
    if (set && set.lines.length <= CALLED_OUT) return set;
  }
  return undefined;
}

const CALLED_OUT = 2;

/** A price among words: its figure larger than they are, and what is said with it beside or under it. */
function priceBlock({ stage, width, size }: ItemRoom, price: Price): Block | undefined {
  const { figure } = price;
  const notes = [price.before, price.after].filter((node) => node !== undefined);
  const larger = stage.tight ? 1.15 : Math.max(PRICE, stage.emphasis(figure));
  for (const times of [larger, 1]) {
    const set = setAt(figure.paragraph, times * size, width, notes.length > 0 ? 1 : undefined);
    const words = notes.map((node) => setAt(node.paragraph, size, width));
    if (!set || words.some((one) => one === undefined)) continue;
    const blockFor = (node: TextNode | undefined) =>
      node && textBlock(node, words[notes.indexOf(node)]!);
    const [before, after] = [blockFor(price.before), blockFor(price.after)];
    const parts = [before, textBlock(figure, set), after].filter((one) => one !== undefined);
    const gap = PRICE_GAP * size;
    const line = parts.reduce((left, right) => onOneLine(left, right, gap));
    if (line.width <= width && parts.every(isLine)) return line;
    const under = stack(
      parts,
      parts.slice(1).map(() => GAP.tight * size),
    );
    if (under.width <= width) return { ...under, lines: { size, first: parts[0]!.lines!.first } };
  }
  return undefined;
}

/** Between a price and its note, in sizes of the text. */
const PRICE_GAP = 0.5;

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
