import { bottom, centre, contains, type Box } from "../geometry";
import type {
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

/** What a composition consists of, read off its lead size. Words are in reading order. */
export interface Parts {
  photos: PictureNode[];
  ornament?: ShapeNode;
  kicker?: TextNode;
  headline?: TextNode;
  details: TextNode[];
  cta?: TextNode;
  logo?: LogoNode;
  badge?: Badge;
  /** The logo stands on the picture at the lead size. */
  logoOnMedia: boolean;
  /** The picture or ornament stands above the headline at the lead size. */
  mediaFirst: boolean;
}

const RULING = ["headline", "quote", "figure"];

export function readParts({ nodes }: ResolvedPiece): Parts {
  const badge = readBadge(nodes);
  const inBadge = new Set(badge ? [badge.plate.id, ...badge.inside.map((node) => node.id)] : []);
  const free = nodes.filter((node) => !inBadge.has(node.id));
  const texts = free.filter((node) => node.type === "text").sort(inReadingOrder);
  const headline = rulingText(texts);
  const kicker = texts.find((node) => node.role === "kicker");
  const cta = texts.find((node) => node.role === "cta");
  const details = texts.filter((node) => ![headline, kicker, cta].includes(node));
  const photos = free.filter((node) => node.type === "picture");
  const ornament = free.find((node) => node.type === "shape" && node.role === "ornament");
  const logo = free.find((node) => node.type === "logo");
  const media = photos[0] ?? ornament;
  return {
    photos,
    details,
    logoOnMedia: Boolean(logo && photos.some((photo) => contains(photo.box, logo.box))),
    mediaFirst: !media || !headline || startsAbove(media.box, headline.box),
    ...(ornament?.type === "shape" ? { ornament } : {}),
    ...(kicker ? { kicker } : {}),
    ...(headline ? { headline } : {}),
    ...(cta ? { cta } : {}),
    ...(logo ? { logo } : {}),
    ...(badge ? { badge } : {}),
  };
}

/** The text that rules: a headline, else a quote or figure, else the largest text there is. */
function rulingText(texts: TextNode[]): TextNode | undefined {
  for (const role of RULING) {
    const found = texts.find((node) => node.role === role);
    if (found) return found;
  }
  const plain = texts.filter((node) => node.role !== "cta" && node.role !== "kicker");
  return plain.sort((a, b) => (b.size ?? 0) - (a.size ?? 0))[0];
}

function readBadge(nodes: ResolvedNode[]): Badge | undefined {
  const plate = nodes.find((node) => node.type === "shape" && node.role === "badge");
  if (plate?.type !== "shape") return undefined;
  const inside = nodes.filter((node) => node.type === "text" && node.on === plate.id);
  return { plate, inside: inside.filter((node) => node.type === "text").sort(inReadingOrder) };
}

const startsAbove = (a: Box, b: Box): boolean => centre(a).y < centre(b).y;

/** Top to bottom; of two that stand side by side, left before right. */
function inReadingOrder(a: TextNode, b: TextNode): number {
  const apart = a.box.y >= bottom(b.box) || b.box.y >= bottom(a.box);
  return apart ? a.box.y - b.box.y : a.box.x - b.box.x || a.box.y - b.box.y;
}

/** The same parts without the nodes of the given names. */
export function without(parts: Parts, dropped: ReadonlySet<string>): Parts {
  const keep = <T extends { id: string }>(node: T | undefined) =>
    node && !dropped.has(node.id) ? node : undefined;
  const { ornament, kicker, headline, cta, logo, badge, ...rest } = parts;
  const kept = {
    ornament: keep(ornament),
    kicker: keep(kicker),
    headline: keep(headline),
    cta: keep(cta),
    logo: keep(logo),
    badge: badge && keep(badge.plate) ? badge : undefined,
  };
  return {
    ...rest,
    photos: parts.photos.filter((node) => !dropped.has(node.id)),
    details: parts.details.filter((node) => !dropped.has(node.id)),
    ...Object.fromEntries(Object.entries(kept).filter(([, node]) => node !== undefined)),
  };
}

/** Every node that could be left out, the first to go first; `always` nodes are never among them. */
export function droppable(parts: Parts, keepIfRoom: ReadonlySet<string>): ResolvedNode[] {
  const { photos, ornament, kicker, details, cta, logo, badge } = parts;
  const all: (ResolvedNode | undefined)[] = [
    ...photos,
    ornament,
    kicker,
    ...details,
    cta,
    logo,
    badge?.plate,
  ];
  const order = (node: ResolvedNode) => node.importance - (keepIfRoom.has(node.id) ? 10 : 0);
  return all
    .filter((node): node is ResolvedNode => node !== undefined && !node.always)
    .sort((a, b) => order(a) - order(b));
}
