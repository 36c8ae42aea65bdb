import { area, bottom, centre, contains, right, type Box } from "../../geometry";
import { RULING_SLOTS, readingRank } from "../../message";
import type { ResolvedPiece, TextNode, ResolvedNode, ShapeNode, PictureNode } from "../../resolve";
import { anchorsOf, pinnedWords } from "../anchored/anchors";
import { nodesOf, type Badge, type Item, type Parts, type Price, type Row } from "./parts";

const cache = new WeakMap<ResolvedPiece, Partial<Record<"pinned" | "all", Parts>>>();

/**
 * What the piece consists of, without the figures that keep to something and, where there is room for them at their edges,
 * without pinned words; read once for all its sizes.
 */
export function partsOf(resolved: ResolvedPiece, words: "pinned" | "all"): Parts {
  let known = cache.get(resolved);
  if (!known) cache.set(resolved, (known = {}));
  return (known[words] ??= readParts(laidOut(resolved, words)));
}

function laidOut(resolved: ResolvedPiece, words: "pinned" | "all"): ResolvedNode[] {
  const apart = new Set<ResolvedNode>([
    ...anchorsOf(resolved).flatMap(({ figures }) => figures),
    ...(words === "pinned" ? pinnedWords(resolved) : []),
    ...resolved.nodes.filter(({ strip }) => strip !== undefined),
  ]);
  return resolved.nodes.filter((node) => !apart.has(node));
}

function readParts(nodes: ResolvedNode[]): Parts {
  const badge = readBadge(nodes);
  const inBadge = new Set(badge ? [badge.plate.id, ...badge.inside.map((node) => node.id)] : []);
  const free = nodes.filter((node) => !inBadge.has(node.id) && node.role !== "backdrop");
  const texts = free.filter((node) => node.type === "text").sort(inReadingOrder);
  const headline = rulingText(texts);
  const cta = texts.find((node) => node.role === "cta");
  const sender = texts.filter((node) => isSender(node) && node !== headline);
  const items = free
    .filter(isItem)
    .filter((node) => node !== headline && node !== cta && !sender.includes(node as TextNode));
  const above = items.filter((node) => standsOver(node, headline)).sort(inReadingOrder);
  const details = items.filter((node) => !above.includes(node)).sort(inReadingOrder);
  // What is said with a figure stands where that does, also where it lost a place of its own.
  const isPlaced = (node: (typeof details)[number]): boolean =>
    isComposed(figureOf(node, details) ?? node);
  const [composed, added] = [details.filter(isPlaced), details.filter((n) => !isPlaced(n))];
  const photos = free.filter((node) => node.type === "picture");
  const ornament = free.find(
    (node) => node.type === "shape" && node.role === "ornament" && !isLine(node),
  );
  const logo = free.find((node) => node.type === "logo");
  const media = photos[0] ?? ornament;
  const plate = plateOf(free, texts);
  return {
    photos,
    above,
    details: insertedByRank(inRows(withPrices(composed)), withPrices(added)),
    sender,
    logoOnMedia: Boolean(logo && photos.some((photo) => contains(photo.box, logo.box))),
    mediaFirst: !media || !headline || centre(media.box).y < centre(headline.box).y,
    overPhoto: !plate && photos.some((photo) => carries(photo, headline ?? texts[0] ?? logo)),
    isCard: photos.length === 0 && isCard(plate, headline, nodes),
    framed: photos.length > 0 && photos.every((photo) => keepsClear(photo.box, nodes)),
    ...(plate ? { plate } : {}),
    ...(ornament?.type === "shape" ? { ornament } : {}),
    ...(headline ? { headline } : {}),
    ...(cta ? { cta } : {}),
    ...(logo ? { logo } : {}),
    ...(badge ? { badge } : {}),
  };
}

const isLine = (node: ResolvedNode): boolean =>
  node.type === "shape" && (node.shape.kind === "line" || node.box.height * 12 < node.box.width);
const isItem = (node: ResolvedNode): node is Exclude<Item, Row | Price> =>
  node.type === "text" || node.type === "icon" || node.type === "code" || isLine(node);

/** The text that rules: a headline, else a quote or figure, else the largest text there is. */
function rulingText(texts: TextNode[]): TextNode | undefined {
  const ruling = texts.filter((node) => RULING_SLOTS.includes(node.role));
  const named = ruling.sort((a, b) => (b.size ?? 0) - (a.size ?? 0))[0];
  if (named) return named;
  const plain = texts.filter((node) => node.role !== "cta" && node.role !== "kicker");
  const first = plain.sort(
    (a, b) =>
      (b.size ?? 0) - (a.size ?? 0) || Number(b.role === "support") - Number(a.role === "support"),
  )[0];
  return first ?? texts.find((node) => node.role === "kicker");
}

const isSender = ({ role }: TextNode): boolean => role === "handle" || role === "site";
const isComposed = (node: ResolvedNode): boolean => !node.unplaced;
const standsOver = (node: ResolvedNode, headline: TextNode | undefined): boolean =>
  headline !== undefined &&
  (node.role === "kicker" ||
    (isComposed(node) &&
      isComposed(headline) &&
      bottom(node.box) <= headline.box.y + 0.1 * headline.box.height));

/** The parts of one price become one item, where its figure stands. */
export function withPrices(nodes: readonly Exclude<Item, Row | Price>[]): Exclude<Item, Row>[] {
  const parts = nodes.filter((node): node is TextNode => node.type === "text" && isPrice(node));
  return nodes.flatMap((node): Exclude<Item, Row>[] => {
    if (node.type !== "text" || !isPrice(node)) return [node];
    if (node.part !== "figure" && node.part !== undefined) return [];
    return [priceOf(node, parts)];
  });
}

const figureOf = (node: ResolvedNode, all: readonly ResolvedNode[]): ResolvedNode | undefined =>
  node.part === undefined || node.part === "figure"
    ? undefined
    : all.find(({ slot, part }) => slot === node.slot && part === "figure");

const isPrice = ({ role }: TextNode): boolean => role === "price";
function priceOf(figure: TextNode, parts: readonly TextNode[]): Price {
  const beside = (part: TextNode["part"]) =>
    parts.find((node) => node.slot === figure.slot && node.part === part);
  const [before, after] = [beside("before"), beside("after")];
  return { type: "price", figure, ...(before ? { before } : {}), ...(after ? { after } : {}) };
}

/** What has no place of its own is read where its slot is read in any message. */
export function insertedByRank(composed: readonly Item[], added: readonly Item[]): Item[] {
  const items = [...composed];
  for (const item of [...added].sort((a, b) => rankOf(a) - rankOf(b))) {
    const at = items.findLastIndex((other) => rankOf(other) <= rankOf(item));
    items.splice(at + 1, 0, item);
  }
  return items;
}

const rankOf = (item: Item): number => readingRank(nodesOf(item)[0]?.slot ?? "body");
function readBadge(nodes: ResolvedNode[]): Badge | undefined {
  const plate = nodes.find((node) => node.type === "shape" && node.role === "badge");
  if (plate?.type !== "shape") return undefined;
  const on = nodes.filter((node): node is TextNode => node.type === "text" && node.on === plate.id);
  return on.length > 0 ? { plate, inside: on.sort(inReadingOrder) } : undefined;
}

/** A plate that words stand on; one under everything is the ground. */
function plateOf(nodes: ResolvedNode[], texts: TextNode[]): ShapeNode | undefined {
  return nodes.find(
    (node): node is ShapeNode =>
      node.type === "shape" &&
      node.role === "plate" &&
      texts.some((text) => text.on === node.id || contains(node.box, text.box)),
  );
}

const isCard = (
  plate: ShapeNode | undefined,
  ruling: TextNode | undefined,
  nodes: ResolvedNode[],
): boolean =>
  plate !== undefined &&
  ruling !== undefined &&
  keepsClear(plate.box, nodes) &&
  (ruling.on === plate.id || contains(plate.box, ruling.box));
const carries = (photo: PictureNode, node: ResolvedNode | undefined): boolean =>
  node !== undefined && (node.on === photo.id || contains(photo.box, node.box));

/** Farther from every edge than this share of the frame's width. */
const CLEAR = 0.02;
function keepsClear(at: Box, nodes: ResolvedNode[]): boolean {
  const frame = nodes.reduce((largest, { box }) => (area(box) > area(largest) ? box : largest), at);
  const clear = CLEAR * frame.width;
  return (
    at.x - frame.x > clear &&
    at.y - frame.y > clear &&
    right(frame) - right(at) > clear &&
    bottom(frame) - bottom(at) > clear
  );
}

type Standing = Pick<ResolvedNode, "box">;

/** Top to bottom; of two that stand side by side, left before right. */
function inReadingOrder(a: Standing, b: Standing): number {
  const apart = a.box.y >= bottom(b.box) || b.box.y >= bottom(a.box);
  return apart ? a.box.y - b.box.y : a.box.x - b.box.x || a.box.y - b.box.y;
}

/** Texts of at least two lines that stand in pairs, side by side, become rows. */
function inRows(items: Exclude<Item, Row>[]): Item[] {
  const rows: Item[] = [];
  for (const node of items) {
    const last = rows.at(-1);
    const before = last?.type === "row" ? last.cells.at(-1) : last;
    if (node.type !== "text" || before?.type !== "text" || !beside(before.box, node.box))
      rows.push(node);
    else if (last?.type === "row") last.cells.push(node);
    else rows.splice(-1, 1, { type: "row", cells: [before, node] });
  }
  return rows;
}

/** On one line: more than half of the lower one's height is shared, and they do not touch. */
function beside(a: Box, b: Box): boolean {
  const shared = Math.min(bottom(a), bottom(b)) - Math.max(a.y, b.y);
  const high = Math.min(a.height, b.height);
  return shared > 0.5 * high && Math.max(a.height, b.height) < 2 * high && b.x >= right(a);
}
