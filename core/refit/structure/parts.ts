import { area, bottom, centre, contains, right, type Box } from "../../geometry";
import { FACT_SLOTS, readingRank, RULING_SLOTS } from "../../message";
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
import { DISPLAY_LEADING } from "../../rules";

/** A round or square mark with a few words inside; moves as one. */
export interface Badge {
  plate: ShapeNode;
  inside: TextNode[];
}

/** Texts that stand side by side at the lead size, like a day and its hours; they stay one line. */
export interface Row {
  type: "row";
  cells: TextNode[];
}

/** A price with what is said before and after it, which stay together. */
export interface Price {
  type: "price";
  figure: TextNode;
  before?: TextNode;
  after?: TextNode;
}

/** What is set among the words, one under the other. A shape among them is a line. */
export type Item = TextNode | IconNode | CodeNode | ShapeNode | Row | Price;

/** What a composition consists of, read off its lead size. Words are in reading order. */
export interface Parts {
  photos: PictureNode[];
  ornament?: ShapeNode;
  /** Stands over the headline: a kicker, an icon. */
  above: Item[];
  headline?: TextNode;
  details: Item[];
  cta?: TextNode;
  logo?: LogoNode;
  /** Handle and site: with the logo they are the sender's signature. */
  sender: TextNode[];
  badge?: Badge;
  /** The area that the words stand on, over a picture. */
  plate?: ShapeNode;
  /** The plate stands clear of the frame, with no picture behind it and the ruling words on it. */
  isCard: boolean;
  /** The words stand on the picture itself. */
  overPhoto: boolean;
  /** The picture keeps clear of the frame's edges. */
  framed: boolean;
  /** The logo stands on the picture at the lead size. */
  logoOnMedia: boolean;
  /** The picture or ornament stands above the headline at the lead size. */
  mediaFirst: boolean;
}

/** Something takes an area of its own; a mark behind the words does not. */
export const hasMedia = ({ photos, ornament }: Parts): boolean =>
  photos.length > 0 || (ornament !== undefined && ornament.shape.kind !== "emblem");

const cache = new WeakMap<ResolvedPiece, Parts>();

/** What the piece consists of; read once for all its sizes. */
export function partsOf(resolved: ResolvedPiece): Parts {
  let parts = cache.get(resolved);
  if (!parts) cache.set(resolved, (parts = readParts(resolved)));
  return parts;
}

function readParts({ nodes }: ResolvedPiece): Parts {
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
  const [composed, added] = [details.filter(isComposed), details.filter((n) => !isComposed(n))];
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
function withPrices(nodes: readonly Exclude<Item, Row | Price>[]): Exclude<Item, Row>[] {
  const parts = nodes.filter((node): node is TextNode => node.type === "text" && isPrice(node));
  return nodes.flatMap((node): Exclude<Item, Row>[] => {
    if (node.type !== "text" || !isPrice(node)) return [node];
    if (node.part !== "figure" && node.part !== undefined) return [];
    return [priceOf(node, parts)];
  });
}

const isPrice = ({ role }: TextNode): boolean => role === "price";

function priceOf(figure: TextNode, parts: readonly TextNode[]): Price {
  const beside = (part: TextNode["part"]) =>
    parts.find((node) => node.slot === figure.slot && node.part === part);
  const [before, after] = [beside("before"), beside("after")];
  return { type: "price", figure, ...(before ? { before } : {}), ...(after ? { after } : {}) };
}

/** What has no place of its own is read where its slot is read in any message. */
function insertedByRank(composed: readonly Item[], added: readonly Item[]): Item[] {
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

const plain = new WeakMap<Parts, Parts>();

/** The same parts with what is in the badge among the other words; the same object for the same parts. */
export function unbadged(parts: Parts): Parts {
  const { badge, ...rest } = parts;
  if (!badge) return parts;
  let without = plain.get(parts);
  if (!without) {
    const details = insertedByRank(parts.details, withPrices(badge.inside));
    plain.set(parts, (without = { ...rest, details }));
  }
  return without;
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

export function nodesOf(item: Item): ResolvedNode[] {
  if (item.type === "row") return item.cells;
  if (item.type !== "price") return [item];
  return [item.before, item.figure, item.after].filter((node) => node !== undefined);
}

/** Everything that is there to be placed. */
export function allNodes(parts: Parts): ResolvedNode[] {
  const { photos, ornament, above, headline, details, cta, logo, sender, badge } = parts;
  const single = [...photos, ornament, headline, cta, logo, ...sender];
  return [
    ...single.filter((node): node is NonNullable<typeof node> => node !== undefined),
    ...[...above, ...details].flatMap(nodesOf),
    ...(badge?.inside ?? []),
  ];
}

/** The same parts without the nodes of the given names. */
export function without(parts: Parts, dropped: ReadonlySet<string>): Parts {
  const stays = (node: ResolvedNode): boolean => !dropped.has(node.id);
  const keep = <T extends ResolvedNode>(node: T | undefined) =>
    node && stays(node) ? node : undefined;
  const { ornament, headline, cta, logo, badge, plate, above, details, ...rest } = parts;
  const kept = {
    ornament: keep(ornament),
    headline: keep(headline),
    cta: keep(cta),
    logo: keep(logo),
    plate: keep(plate),
    badge: badge?.inside.every(stays) ? badge : undefined,
  };
  const items = (all: Item[]) => all.filter((item) => nodesOf(item).every(stays));
  return {
    ...rest,
    photos: parts.photos.filter(stays),
    above: items(above),
    details: items(details),
    sender: parts.sender.filter(stays),
    ...Object.fromEntries(Object.entries(kept).filter(([, node]) => node !== undefined)),
  };
}

/**
 * What could be left out, the first to go first; `always` nodes are never among it. What stands in one row
 * goes together, and so does a list: half of one would say something else.
 */
export function droppable(
  { photos, ornament, above, details, cta, logo, sender, badge }: Parts,
  worth: (node: ResolvedNode) => number,
): ResolvedNode[][] {
  const single = [...photos, ornament, cta, logo, ...sender]
    .filter((node): node is NonNullable<typeof node> => node !== undefined)
    .map((node): ResolvedNode[] => [node]);
  // Of equals, what stands last goes first.
  const words = [...above.map(nodesOf), ...listsOf(details)].reverse();
  const groups = [...words, ...single, ...(badge ? [badge.inside] : [])];
  const order = (group: ResolvedNode[]) => Math.max(...group.map(worth));
  return groups
    .filter((group) => group.every((node) => !node.always))
    .sort((a, b) => order(a) - order(b));
}

const LEAST_LIST = 3;

/** Points enough to stand in columns. */
const LEAST_POINTS = 4;
export const isList = ({ paragraph, plate }: TextNode): boolean =>
  paragraph.points >= LEAST_POINTS && !plate;

/** What stands together: facts, the points of a list, the sentences of a text. */
export function groupOf(item: Item): string {
  if (item.type === "row" || item.type === "price") return item.type === "row" ? "row" : "facts";
  if (item.slot !== undefined && FACT_SLOTS.includes(item.slot)) return "facts";
  return item.type === "text" && item.slot !== "list" ? item.role : item.type;
}

/** The nodes of each item, those of a list of like items together. Every fact is one by itself. */
function listsOf(items: readonly Item[]): ResolvedNode[][] {
  const runs: Item[][] = [];
  for (const item of items) {
    const run = runs.at(-1);
    const goesOn = run && groupOf(run[0]!) === groupOf(item) && groupOf(item) !== "facts";
    if (goesOn) run.push(item);
    else runs.push([item]);
  }
  return runs.flatMap((run) =>
    run.length >= LEAST_LIST ? [run.flatMap(nodesOf)] : run.map(nodesOf),
  );
}

/** Type set this tight is to be looked at rather than read. */
export const isDisplay = ({ paragraph }: TextNode): boolean =>
  paragraph.style.leading < DISPLAY_LEADING;
