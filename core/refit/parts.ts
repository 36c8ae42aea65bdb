import { area, bottom, centre, contains, right, type Box } from "../geometry";
import type {
  CodeNode,
  IconNode,
  LogoNode,
  PictureNode,
  ResolvedNode,
  ResolvedPiece,
  ShapeNode,
  TextNode,
} from "../resolve";

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

/** What is set among the words, one under the other. A shape among them is a line. */
export type Item = TextNode | IconNode | CodeNode | ShapeNode | Row;

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

export const hasMedia = ({ photos, ornament }: Parts): boolean =>
  photos.length > 0 || ornament !== undefined;

const RULING = ["headline", "quote", "figure"];

const known = new WeakMap<ResolvedPiece, Parts>();

/** What the piece consists of; read once for all its sizes. */
export function partsOf(resolved: ResolvedPiece): Parts {
  let parts = known.get(resolved);
  if (!parts) known.set(resolved, (parts = readParts(resolved)));
  return parts;
}

function readParts({ nodes }: ResolvedPiece): Parts {
  const badge = readBadge(nodes);
  const inBadge = new Set(badge ? [badge.plate.id, ...badge.inside.map((node) => node.id)] : []);
  const free = nodes.filter((node) => !inBadge.has(node.id) && node.role !== "backdrop");
  const texts = free.filter((node) => node.type === "text").sort(inReadingOrder);
  const headline = rulingText(texts);
  const cta = texts.find((node) => node.role === "cta");
  const items = free.filter(isItem).filter((node) => node !== headline && node !== cta);
  const above = items.filter((node) => standsOver(node, headline)).sort(inReadingOrder);
  const details = items.filter((node) => !above.includes(node)).sort(inReadingOrder);
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
    details: inRows(details),
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

const isItem = (node: ResolvedNode): node is Exclude<Item, Row> =>
  node.type === "text" || node.type === "icon" || node.type === "code" || isLine(node);

/** The text that rules: a headline, else a quote or figure, else the largest text there is. */
function rulingText(texts: TextNode[]): TextNode | undefined {
  const ruling = texts.filter((node) => RULING.includes(node.role));
  const named = ruling.sort((a, b) => (b.size ?? 0) - (a.size ?? 0))[0];
  if (named) return named;
  const plain = texts.filter((node) => node.role !== "cta" && node.role !== "kicker");
  const first = plain.sort(
    (a, b) =>
      (b.size ?? 0) - (a.size ?? 0) || Number(b.role === "support") - Number(a.role === "support"),
  )[0];
  return first ?? texts.find((node) => node.role === "kicker");
}

const standsOver = (node: ResolvedNode, headline: TextNode | undefined): boolean =>
  headline !== undefined &&
  (node.role === "kicker" || bottom(node.box) <= headline.box.y + 0.1 * headline.box.height);

function readBadge(nodes: ResolvedNode[]): Badge | undefined {
  const plate = nodes.find((node) => node.type === "shape" && node.role === "badge");
  if (plate?.type !== "shape") return undefined;
  const inside = nodes.filter((node) => node.type === "text" && node.on === plate.id);
  return { plate, inside: inside.filter((node) => node.type === "text").sort(inReadingOrder) };
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

export const nodesOf = (item: Item): ResolvedNode[] => (item.type === "row" ? item.cells : [item]);

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
    badge: badge && keep(badge.plate) ? badge : undefined,
  };
  const items = (all: Item[]) => all.filter((item) => nodesOf(item).every(stays));
  return {
    ...rest,
    photos: parts.photos.filter(stays),
    above: items(above),
    details: items(details),
    ...Object.fromEntries(Object.entries(kept).filter(([, node]) => node !== undefined)),
  };
}

/**
 * What could be left out, the first to go first; `always` nodes are never among it. What stands in one row
 * goes together, and so does a list: half of one would say something else.
 */
export function droppable(parts: Parts, keepIfRoom: ReadonlySet<string>): ResolvedNode[][] {
  const { photos, ornament, above, details, cta, logo, badge } = parts;
  const single = [...photos, ornament, cta, logo, badge?.plate]
    .filter((node): node is NonNullable<typeof node> => node !== undefined)
    .map((node): ResolvedNode[] => [node]);
  // Of equals, what stands last goes first.
  const groups = [...[...above.map(nodesOf), ...listsOf(details)].reverse(), ...single];
  const order = (group: ResolvedNode[]) =>
    Math.max(...group.map((node) => node.importance - (keepIfRoom.has(node.id) ? 10 : 0)));
  return groups
    .filter((group) => group.every((node) => !node.always))
    .sort((a, b) => order(a) - order(b));
}

const LEAST_LIST = 3;

/** The nodes of each item, those of a list of like items together. */
function listsOf(items: readonly Item[]): ResolvedNode[][] {
  const kind = (item: Item) => (item.type === "row" ? "row" : nodesOf(item)[0]!.role);
  const runs: Item[][] = [];
  for (const item of items) {
    const run = runs.at(-1);
    if (run && kind(run[0]!) === kind(item)) run.push(item);
    else runs.push([item]);
  }
  return runs.flatMap((run) =>
    run.length >= LEAST_LIST ? [run.flatMap(nodesOf)] : run.map(nodesOf),
  );
}
