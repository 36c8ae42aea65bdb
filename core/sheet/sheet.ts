import { Brand } from "../brand";
import { box, type Box } from "../geometry";
import { Piece, type Node } from "../piece";
import type { Placement } from "../placements";
import { shelfTypeface } from "../shelf";
import { pack } from "./pack";

/** What is said at the head of the page. */
export interface SheetAbout {
  crate: string;
  title: string;
  brand: string;
  /** As it is to be read. */
  date: string;
}

/** All sizes of a piece on one page: an ordinary piece for the page and its labels, and where each size goes on it. */
export interface SizeSheet {
  piece: Piece;
  brand: Brand;
  placement: Placement;
  /** In page pixels, in the order of the sizes. */
  at: Box[];
}

/** Page pixels for each CSS pixel that a size takes as viewed. A poster is seen from further away. */
const scaleOf = ({ use }: Placement): number => (use === "poster" ? 0.5 : 1);
const MARGIN = 48;
const GAP = 30;
const HEAD = 96;
const LABEL = 26;
const LABEL_SIZE = 13;
/** A label is not broken: what is narrower than this keeps so much room for it. */
const LEAST_WIDTH = 190;

/** A quiet kit for the page itself, so that only the graphics are colourful. Contrast 9.6 : 1. */
const page = Brand.parse({
  format: "zestcrate/brand",
  version: 1,
  id: "size-sheet",
  name: "Sizes",
  colours: [
    { id: "table", name: "Table", hex: "#E6E2D8", role: "paper" },
    { id: "ink", name: "Ink", hex: "#333B36", role: "ink" },
  ],
  typefaces: { headline: shelfTypeface("figtree"), text: shelfTypeface("figtree") },
});

/** The sizes as they are viewed, all at one scale, packed and labelled. */
export function sizeSheet(
  placements: readonly Placement[],
  lead: string,
  about: SheetAbout,
): SizeSheet {
  const sides = placements.map((placement) => {
    const scale = (scaleOf(placement) * placement.viewWidth) / placement.width;
    return {
      width: Math.round(placement.width * scale),
      height: Math.round(placement.height * scale),
    };
  });
  return labelled(
    sides,
    placements.map((placement) => labelOf(placement, lead)),
    LEAST_WIDTH,
    about,
  );
}

/** Page pixels of a tile's area on a contact sheet: what it shows can be told, and a hundred go on a page. */
const TILE = 220 ** 2;

/** One size of many variations, all equally large, with their names. At most as many as an arrangement has nodes. */
export function contactSheet(
  { width, height }: Placement,
  names: readonly string[],
  about: SheetAbout,
): SizeSheet {
  const scale = Math.sqrt(TILE / (width * height));
  const side = { width: Math.round(width * scale), height: Math.round(height * scale) };
  return labelled(
    names.map(() => side),
    names,
    0,
    about,
  );
}

/** Boxes packed on a page, each below its label, under a head. A label has at least `leastWidth`. */
function labelled(
  sides: readonly { width: number; height: number }[],
  texts: readonly string[],
  leastWidth: number,
  { crate, title, brand, date }: SheetAbout,
): SizeSheet {
  const packed = pack(
    sides.map(({ width, height }) => ({
      width: Math.max(width, leastWidth),
      height: height + LABEL,
    })),
    GAP,
  );
  const at = packed.at.map(({ x, y }, i) =>
    box(MARGIN + x, MARGIN + HEAD + y + LABEL, sides[i]!.width, sides[i]!.height),
  );
  const width = Math.ceil(packed.width + 2 * MARGIN);
  const height = Math.ceil(packed.height + HEAD + 2 * MARGIN);
  const labels = texts.map((text, i): Label => {
    const { x, y, width: own } = at[i]!;
    const place = box(x, y - LABEL, Math.max(own, leastWidth), LABEL - 6);
    return { at: place, text, size: LABEL_SIZE, weight: 400 };
  });
  const context = [crate, brand, date].filter(Boolean).join("   ·   ");
  const head: Label[] = [
    { at: box(MARGIN, MARGIN, width - 2 * MARGIN, 40), text: title, size: 30, weight: 700 },
    { at: box(MARGIN, MARGIN + 46, width - 2 * MARGIN, 24), text: context, size: 15, weight: 400 },
  ];
  return { ...pageOf([...head, ...labels], width, height), brand: page, at };
}

const labelOf = ({ id, name, width, height, use }: Placement, lead: string): string =>
  `${id === lead ? "Lead: " : ""}${name}  ${width} × ${height}${use === "poster" ? ", half as large" : ""}`;

interface Label {
  at: Box;
  text: string;
  size: number;
  weight: number;
}

function pageOf(labels: readonly Label[], width: number, height: number) {
  const id = "size-sheet";
  const arrangement = labels.map(({ at, size, weight }, i): Node => ({
    id: `t${i}`,
    kind: "text",
    role: "body",
    slot: `t${i}`,
    box: at,
    style: { type: "text", size, weight, leading: 1.2, valign: "bottom" },
  }));
  const piece = Piece.parse({
    format: "zestcrate/piece",
    version: 1,
    id,
    kind: "post",
    title: id,
    brand: page.id,
    lead: id,
    frame: { width, height },
    message: Object.fromEntries(labels.map(({ text }, i) => [`t${i}`, { text }])),
    arrangement,
    sizes: [{ placement: id }],
    without: ["logo", "ornament"],
  });
  const placement: Placement = {
    id,
    name: id,
    channel: "page",
    width,
    height,
    viewWidth: width,
    use: "poster",
    margin: 0,
    covered: [],
    crops: [],
    formats: ["png"],
    source: "our own",
  };
  return { piece, placement };
}
