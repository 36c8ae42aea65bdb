import type { LayoutId } from "../piece";
import { shownSlots, wordSlots } from "../completion";
import type { Box } from "../geometry";
import type { TextNode } from "../resolve";
import { roomOf, seenParts, type Layout, type LeftOut, type Placed } from "../refit";
import { check, contrastOf, groundOf } from "./check";
import { inkOf } from "./ink";
import type { Finding } from "./finding";

/** How words are set: the typeface's file with its axes, em between letters and lines, and where the first line stands. */
export interface SetReport {
  file: string;
  axes: Readonly<Record<string, number>>;
  tracking: number;
  leading: number;
  upper: boolean;
  baseline: number;
}

export interface NodeReport {
  id: string;
  role: string;
  kind: string;
  box: Box;
  ink: Box;
  /** The box in which it comes out so when it is put there by hand. */
  room: Box;
  turn?: number;
  fontSize?: number;
  type?: SetReport;
  lines?: string[];
  contrast?: number;
  /** Relative luminances (WCAG 2.2) of what lies behind words: the darkest and the lightest part. */
  ground?: [darkest: number, lightest: number];
  crop?: Box;
}

/** How one size came out, as data: written beside the files, and shown in the ledger. */
export interface LayoutReport {
  placement: string;
  width: number;
  height: number;
  safe: Box;
  floor: number;
  layout: LayoutId;
  /** Of a piece of a set: it stands as the set does, or apart from it. */
  set?: "stands" | "apart";
  nodes: NodeReport[];
  /** Where the faces and things stand that its pictures show; of a picture of which nothing is known, all of it. */
  focus: Box[];
  /** The message's slots that hold words, and those of them that have a node on this size. */
  slots: string[];
  shown: string[];
  left_out: LeftOut[];
  findings: Finding[];
}

/** Lengths in output pixels at scale 1, rounded to hundredths. */
export function reportOf(layout: Layout): LayoutReport {
  const { placement } = layout;
  return {
    placement: placement.id,
    ...(layout.set ? { set: layout.set } : {}),
    width: placement.width,
    height: placement.height,
    safe: roundBox(layout.safe),
    floor: round(layout.floor),
    layout: layout.layoutId,
    nodes: layout.placed.map((item, index) => nodeReport(layout, item, index)),
    focus: focusOf(layout).map(roundBox),
    slots: wordSlots(layout.resolved.piece),
    shown: shownOn(layout),
    left_out: layout.leftOut,
    findings: check(layout).map(roundFinding),
  };
}

function focusOf({ placed }: Layout): Box[] {
  return placed
    .filter(({ node }) => node.type === "picture")
    .flatMap((item) => {
      const parts = seenParts(item).map(({ box }) => box);
      return parts.length > 0 ? parts : [item.box];
    });
}

/** The slots whose words stand on a size. */
export function shownOn({ placed, resolved }: Layout): string[] {
  const ids = new Set(placed.map(({ node }) => node.id));
  return shownSlots(resolved.piece, (id) => ids.has(id));
}

function nodeReport(layout: Layout, item: Layout["placed"][number], index: number): NodeReport {
  const { node, text, crop, turn } = item;
  const contrast = contrastOf(layout, item, index);
  const ground = groundOf(layout, item, index);
  const kind = node.type === "logo" ? "picture" : node.type;
  return {
    id: node.id,
    role: node.role,
    kind,
    box: roundBox(item.box),
    ink: roundBox(inkOf(item)),
    room: roundBox(roomOf(item)),
    ...(turn === 0 ? {} : { turn }),
    ...(text
      ? {
          fontSize: round(text.set.size),
          lines: text.set.lines.map(({ shaped }) => readable(shaped.text)),
        }
      : {}),
    ...(node.type === "text" && text ? typeOf(node, text) : {}),
    ...(contrast === undefined ? {} : { contrast: round(contrast) }),
    ...(ground ? { ground: [ground.darkest, ground.lightest] } : {}),
    ...(crop ? { crop: roundBox(crop) } : {}),
  };
}

function typeOf(
  { paragraph: { style } }: TextNode,
  { set, ink, bent }: NonNullable<Placed["text"]>,
): Pick<NodeReport, "type"> {
  const [face] = style.chain;
  const [first] = set.lines;
  if (!face || !first || bent) return {};
  const { file, axes } = face.source;
  const { tracking, leading } = style;
  const baseline = round(ink.y + first.baseline * set.size);
  return { type: { file, axes, tracking, leading, upper: style.case === "upper", baseline } };
}

/** Without the signs that only say where a word may be broken. */
const readable = (line: string): string => line.replace(/[\u00ad\u200b]/g, "");

const round = (value: number): number => Math.round(value * 100) / 100;

const roundBox = ({ x, y, width, height }: Box): Box => ({
  x: round(x),
  y: round(y),
  width: round(width),
  height: round(height),
});

const roundFinding = (finding: Finding): Finding => ({
  ...finding,
  ...(finding.measured === undefined ? {} : { measured: round(finding.measured) }),
  ...(finding.needed === undefined ? {} : { needed: round(finding.needed) }),
});
