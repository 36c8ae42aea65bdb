import { brandSpreads, type Brand } from "../brand";
import { hexOf, luminance, type Spread } from "../colour";
import type { FileId } from "../files";
import { box, type Box } from "../geometry";
import { Piece, Style, type Filling, type Node, type Role } from "../piece";
import type { Placement } from "../placements";

/** One page of a specimen: an ordinary piece, composed at a size of its own. */
export interface Specimen {
  id: string;
  title: string;
  piece: Piece;
  placement: Placement;
}

export const SHEET_WIDTH = 1400;
export const MARGIN = 70;
const CAPTION = 17;

type StyleInput = Partial<Style>;

/** Collects the nodes of a page. Lengths are pixels of the page. */
export class Sheet {
  private readonly nodes: Node[] = [];
  private readonly message: Record<string, Filling> = {};
  private count = 0;

  constructor(
    private readonly id: string,
    private readonly title: string,
    private readonly brand: Brand,
    heading = true,
  ) {
    if (!heading) return;
    this.text(box(MARGIN, 50, 900, 60), title, { type: "headline", size: 46, leading: 0.95 });
  }

  text(at: Box, text: string, style: StyleInput = {}, role: Role = "body"): void {
    const slot = `t${++this.count}`;
    this.message[slot] = { text };
    this.add({ kind: "text", role, slot, box: at, style });
  }

  /** A line that says what stands above or below it. */
  caption(x: number, y: number, width: number, text: string): void {
    this.text(box(x, y - 6, width, 24), text, {
      type: "text",
      size: CAPTION,
      leading: 1.2,
      opacity: 0.75,
      valign: "bottom",
    });
  }

  picture(at: Box, picture: FileId, style: StyleInput = {}): void {
    const slot = `p${++this.count}`;
    this.message[slot] = { picture };
    this.add({ kind: "picture", role: "photo", slot, box: at, style });
  }

  shape(at: Box, style: StyleInput): void {
    this.add({ kind: "shape", role: "ornament", box: at, style });
  }

  /** A flat area that other things stand on. */
  ground(at: Box, colour: string): void {
    this.add({ kind: "shape", role: "plate", box: at, style: { colour } });
  }

  /** The brand's logo, in the version that its ground asks for. */
  logo(at: Box): void {
    this.add({ kind: "picture", role: "logo", box: at, style: {} });
  }

  icon(at: Box, icon: string, colour: string): void {
    this.add({ kind: "icon", role: "ornament", box: at, style: { icon, colour } });
  }

  code(at: Box, text: string, style: StyleInput): void {
    const slot = `c${++this.count}`;
    this.message[slot] = { text };
    this.add({ kind: "code", role: "figure", slot, box: at, style });
  }

  private add(node: Omit<Node, "id" | "style"> & { style: StyleInput }): void {
    this.nodes.push({ ...node, id: `n${this.nodes.length + 1}`, style: Style.parse(node.style) });
  }

  made(height: number, language = "en"): Specimen {
    const id = `specimen-${this.id}`;
    const piece = Piece.parse({
      format: "zestcrate/piece",
      version: 1,
      id,
      kind: "post",
      title: `${this.brand.name}: ${this.title}`,
      brand: this.brand.id,
      lead: id,
      language,
      message: this.message,
      arrangement: this.nodes,
      spread: lightSpread(this.brand),
      sizes: [{ placement: id }],
      without: ["logo", "ornament"],
    });
    return { id: this.id, title: this.title, piece, placement: page(id, this.title, height) };
  }
}

/** A page is read on a screen at its own size, with no channel over it. */
const page = (id: string, name: string, height: number): Placement => ({
  id,
  name,
  channel: "specimen",
  width: SHEET_WIDTH,
  height,
  viewWidth: SHEET_WIDTH,
  use: "poster",
  margin: 0,
  covered: [],
  crops: [],
  formats: ["png", "svg"],
  source: "our own",
});

/** Like a printed page: the best spread on a light ground, if there is one. */
function lightSpread(brand: Brand): Spread {
  const all = brandSpreads(brand);
  const light = ({ backdrop }: Spread) =>
    luminance(hexOf(brand.colours, backdrop) ?? "#000000") > 0.5;
  return all.find(light) ?? all[0] ?? {};
}

/** The boxes of a grid of `columns`, row after row, from `top` down. */
export function grid(
  count: number,
  {
    columns,
    top,
    height,
    gap = 40,
    rowGap = 46,
  }: { columns: number; top: number; height: number; gap?: number; rowGap?: number },
): Box[] {
  const width = (SHEET_WIDTH - 2 * MARGIN - (columns - 1) * gap) / columns;
  return Array.from({ length: count }, (_, i) =>
    box(
      MARGIN + (i % columns) * (width + gap),
      top + Math.floor(i / columns) * (height + rowGap),
      width,
      height,
    ),
  );
}

/** How high a page is that ends with the last of these boxes and its caption. */
export const below = (boxes: readonly Box[]): number => {
  const last = boxes.at(-1)!;
  return Math.round(last.y + last.height + 90);
};
