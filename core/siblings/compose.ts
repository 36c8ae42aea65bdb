import { greatest, rollup, sum } from "d3-array";
import type { Brand } from "../brand";
import { withHouseMargin } from "../choice";
import { bottom, box, inset, intersect, right, type Box } from "../geometry";
import { layOut, layOutLead } from "../lay-out";
import type { LayoutId, Node, Piece } from "../piece";
import { cssPerPixel, keptArea, type Placement } from "../placements";
import { check } from "../preflight";
import { nearlyAll, recomposed, refit, type Layout, type Placed, type SizeOfSome } from "../refit";
import { EASY_TEXT } from "../rules";
import { resolve, type Sources } from "../resolve";
import type { Alike } from "./classes";
import { closedUp } from "./close-up";

/** How siblings stand on one placement: a piece that was composed for the longest words, in which each takes its own. */
export interface Composition extends Piece {
  /** As what the longest words are laid out. */
  layoutId: LayoutId;
}

/** What is lost of the size that nearly all can have, so that all have the same. */
const SPARE = 0.985;
/** Words that must be set smaller than their siblings stand by themselves; a hair is lost in counting. */
const SAME_SIZE = 0.999;
/** Where one text takes less room, another may find more or less of it: sizes are looked for so often at most. */
const PASSES = 3;

/** The piece in the layout of its class: the longest words as the refit lays them out, each text in all the room that it has. */
export function compose(
  piece: Piece,
  { longest, tried }: Alike,
  brand: Brand,
  placement: Placement,
  sources: Sources,
): Composition {
  const longestPiece: Piece = { ...piece, message: { ...piece.message, ...longest } };
  // The lead stands as it was composed, as long as the longest words have their room there.
  const layout =
    placement.id === piece.lead
      ? layOutLead(longestPiece, brand, placement, sources).layout
      : layOut(longestPiece, brand, placement, sources);
  const layoutsIn = (composition: Piece): Found[] =>
    tried.flatMap(({ message, count }) => {
      const own = placedAlike({ ...piece, message }, composition, brand, placement, sources);
      return own ? [{ layout: own, count }] : [];
    });
  let shared = withRoom(recomposed(layout.resolved.piece, layout), layout);
  // What most break into so many lines the others do as well, if it takes a little less size.
  shared = { ...shared, lines: linesOf(layoutsIn(shared)) };
  let found = layoutsIn(shared);
  const decided = new Map<string, number>();
  const easy = EASY_TEXT / cssPerPixel(placement);
  for (let pass = 0; pass < PASSES; pass++) {
    const common = withCommonSizes(shared, found, { decided, easy });
    if (common === shared) break;
    shared = common;
    found = layoutsIn(shared);
  }
  return { ...shared, lines: linesOf(found), layoutId: layout.layoutId };
}

/** On how many lines most have each text. */
function linesOf(found: readonly Found[]): Record<string, number> {
  const texts = found.flatMap(({ layout, count }) =>
    layout.placed.flatMap(({ node, text }) =>
      text ? [{ id: node.id, lines: text.set.lines.length, count }] : [],
    ),
  );
  const counts = rollup(
    texts,
    (all) => sum(all, ({ count }) => count),
    ({ id }) => id,
    ({ lines }) => lines,
  );
  return Object.fromEntries(
    [...counts].map(([id, byLines]) => [id, greatest([...byLines], ([, count]) => count)![0]]),
  );
}

/** A layout that was tried, and how many messages it stands for. */
interface Found {
  layout: Layout;
  count: number;
}

/** The layout of a piece in the composition of its siblings; undefined where it cannot stand there as they do. */
export function layoutAlike(
  piece: Piece,
  composition: Piece,
  brand: Brand,
  placement: Placement,
  sources: Sources,
): Layout | undefined {
  const layout = placedAlike(piece, composition, brand, placement, sources);
  return layout && hasTheirSizes(layout) && !breaksRule(layout) ? layout : undefined;
}

const breaksRule = (layout: Layout): boolean =>
  check(layout).some(({ level }) => level === "must-fix");

function placedAlike(
  piece: Piece,
  composition: Piece,
  brand: Brand,
  placement: Placement,
  sources: Sources,
): Layout | undefined {
  const { lead, frame, arrangement, sizes, lines } = composition;
  const own: Piece = {
    ...piece,
    lead,
    ...(frame ? { frame } : {}),
    arrangement,
    sizes,
    ...(lines ? { lines } : {}),
  };
  const resolved = resolve(own, brand, placement.id, sources);
  const layout = refit(resolved, withHouseMargin(placement, brand), {
    only: ({ kind }) => kind === "as-arranged",
  });
  return layout.layoutId.kind === "as-arranged" ? closedUp(layout) : undefined;
}

const hasTheirSizes = ({ placed }: Layout): boolean =>
  placed.every(
    ({ node, text }) =>
      !text || node.type !== "text" || text.set.size >= SAME_SIZE * (node.size ?? 0),
  );

/**
 * Each text as large as nearly all can have it; the same composition where that is so already. `decided` are the sizes of the
 * texts; from `easy` on they are read without effort, in output pixels.
 */
function withCommonSizes(
  composition: Piece,
  found: readonly Found[],
  { decided, easy }: { decided: Map<string, number>; easy: number },
): Piece {
  const sizes = new Map<string, SizeOfSome[]>();
  for (const { layout, count } of found)
    for (const { node, text } of layout.placed)
      if (text) sizes.set(node.id, [...(sizes.get(node.id) ?? []), { size: text.set.size, count }]);
  let isSame = true;
  const arrangement = composition.arrangement.map((node): Node => {
    const had = sizes.get(node.id) ?? [];
    const common = nearlyAll(had, easy);
    if (!common || common >= SAME_SIZE * (decided.get(node.id) ?? Infinity)) return node;
    isSame = false;
    // What all have already needs no room to spare.
    const isShared = had.every(({ size }) => size * SAME_SIZE <= common);
    const size = isShared ? common : SPARE * common;
    decided.set(node.id, size);
    return { ...node, style: { ...node.style, size } };
  });
  return isSame ? composition : { ...composition, arrangement };
}

/** Display words were set in lines of their own width; other words of theirs may take all the room beside. */
function withRoom(composition: Piece, layout: Layout): Piece {
  const placed = new Map(layout.placed.map((item) => [item.node.id, item]));
  const arrangement = composition.arrangement.map((node) => {
    const item = placed.get(node.id);
    return item?.text && !item.text.bent ? { ...node, box: roomFor(node.box, item, layout) } : node;
  });
  return { ...composition, arrangement };
}

/** As wide as the safe area, its plate or its picture lets it, beside what stands in the same lines; aligned as before. */
function roomFor(own: Box, item: Placed, { placed, placement }: Layout): Box {
  if (item.node.type !== "text" || item.node.plate?.per === "block") return own;
  const share = item.node.paragraph.alignShare;
  const within = groundsOf(item, placed).reduce(
    (room, ground) =>
      intersect(room, inset(ground.box, ground.node.type === "picture" ? 0 : padOf(ground, own))),
    keptArea(placement, item.node.role),
  );
  let [left, end] = [Math.min(own.x, within.x), Math.max(right(own), right(within))];
  for (const other of placed) {
    const isBeside = other.box.y < bottom(own) && bottom(other.box) > own.y;
    if (other === item || !isBeside || holds(other.box, own) || other.node.role === "backdrop")
      continue;
    // The words themselves stand beside it, however far their column reaches.
    if (other.box.x >= right(item.box))
      end = Math.min(end, other.box.x - gapTo(other.box.x - right(own), item));
    else if (right(other.box) <= item.box.x)
      left = Math.max(left, right(other.box) + gapTo(own.x - right(other.box), item));
  }
  // Never less than the longest words have.
  [left, end] = [Math.min(left, own.x), Math.max(end, right(own))];
  // Words in the middle grow to both sides alike.
  if (share === 0.5) {
    const half = Math.min(own.x + own.width / 2 - left, end - own.x - own.width / 2);
    return box(own.x + own.width / 2 - half, own.y, 2 * half, own.height);
  }
  return share === 1
    ? box(left, own.y, right(own) - left, own.height)
    : box(own.x, own.y, end - own.x, own.height);
}

/** What stays free of the gap between words and what stands beside them; and at least so much of the size of the words. */
const GAP = 0.5;
const LEAST_GAP = 0.5;
const gapTo = (gap: number, { text }: Placed): number =>
  Math.max(GAP * gap, LEAST_GAP * (text?.set.size ?? 0));

const groundsOf = (item: Placed, placed: readonly Placed[]): Placed[] =>
  placed.filter(
    (other) =>
      other !== item &&
      other.node.role !== "backdrop" &&
      (other.node.type === "picture" || other.node.role === "plate") &&
      holds(other.box, item.box),
  );

/** The words keep as far from the edge of their plate on both sides. */
const padOf = (ground: Placed, own: Box): number => Math.max(0, own.x - ground.box.x);

const holds = (outer: Box, inner: Box): boolean =>
  outer.x <= inner.x + 1 &&
  outer.y <= inner.y + 1 &&
  right(outer) >= right(inner) - 1 &&
  bottom(outer) >= bottom(inner) - 1;
