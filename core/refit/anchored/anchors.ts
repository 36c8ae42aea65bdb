import { contains, type Box } from "../../geometry";
import type { Pin } from "../../piece";
import type {
  CodeNode,
  IconNode,
  LogoNode,
  PictureNode,
  ResolvedNode,
  ResolvedPiece,
  ShapeNode,
  TextNode,
} from "../../resolve";

/** What decorates, points or is scanned: it stands beside what is laid out. A picture only where a person pinned it. */
export type Figure = ShapeNode | IconNode | CodeNode | PictureNode;

/** Figures that move as one, and what they keep to: something else of the piece by its id, or the frame. */
export interface Anchor {
  figures: Figure[];
  to?: string;
  pin: Pin;
}

/** Words or a logo that a person wants at an edge of the frame, whatever the rest does. */
export type PinnedWords = TextNode | LogoNode;

const cache = new WeakMap<ResolvedPiece, Anchor[]>();

/** The figures that take no part in the layout of the words, each with those of its group. */
export function anchorsOf(resolved: ResolvedPiece): Anchor[] {
  let anchors = cache.get(resolved);
  if (!anchors) cache.set(resolved, (anchors = readAnchors(resolved.nodes)));
  return anchors;
}

export const pinnedWords = ({ nodes }: ResolvedPiece): PinnedWords[] => nodes.filter(isPinned);

/** What stands at the same spot on every slide. */
export const runningWords = (resolved: ResolvedPiece): PinnedWords[] =>
  pinnedWords(resolved).filter(({ strip }) => strip === "running");

const isPinned = (node: ResolvedNode): node is PinnedWords =>
  ((node.type === "text" && node.part === undefined) || node.type === "logo") &&
  (node.pin?.h ?? node.pin?.v) !== undefined &&
  !(node.pin?.h === "centre" && node.pin.v === "middle");

function readAnchors(nodes: readonly ResolvedNode[]): Anchor[] {
  const done = new Set<ResolvedNode>();
  return nodes.filter(isFigure).flatMap((figure) => {
    if (done.has(figure)) return [];
    const anchor = anchorOf(figure, nodes);
    anchor?.figures.forEach((one) => done.add(one));
    return anchor ?? [];
  });
}

/** Undefined for a figure that nobody has tied to anything: it is laid out with the words, or left out. */
function anchorOf(figure: Figure, nodes: readonly ResolvedNode[]): Anchor | undefined {
  const { group } = figure;
  const members = group === undefined ? [figure] : nodes.filter((one) => one.group === group);
  const figures = members.filter(isFigure);
  const [most] = members.filter((one) => !isFigure(one)).sort(byImportance);
  const to = most ?? nodes.find(({ id }) => id === figure.on);
  const pin = figures.find((one) => one.pin)?.pin;
  if (to && !isGround(to)) return { figures, pin: pin ?? {}, to: to.id };
  return pin || figures.length > 1 ? { figures, pin: pin ?? {} } : undefined;
}

const byImportance = (a: ResolvedNode, b: ResolvedNode): number => b.importance - a.importance;

/** A plate or a ground is laid out with the words that stand on it. */
const isGround = ({ type, role }: ResolvedNode): boolean =>
  type === "shape" && (role === "plate" || role === "backdrop" || role === "badge");

const isFigure = (node: ResolvedNode): node is Figure =>
  node.strip === undefined && isFigureKind(node);

const isFigureKind = (node: ResolvedNode): boolean =>
  node.type === "picture"
    ? node.pin !== undefined
    : (node.type === "shape" || node.type === "icon" || node.type === "code") && !isGround(node);

/** Whether a figure lies under words of the composition, which then may stand on it elsewhere too. */
export function liesUnder({ figures }: Anchor, nodes: readonly ResolvedNode[]): boolean {
  const at = Math.min(...figures.map((figure) => nodes.indexOf(figure)));
  return nodes.some(
    (node, index) =>
      index > at &&
      node.type === "text" &&
      figures.some(({ box }) => contains(box, core(node.box))),
  );
}

/** The middle of a box: words lie on what lies under that. */
const core = ({ x, y, width, height }: Box): Box => ({
  x: x + width / 4,
  y: y + height / 4,
  width: width / 2,
  height: height / 2,
});
