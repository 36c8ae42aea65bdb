import type {
  CodeNode,
  IconNode,
  LogoNode,
  PictureNode,
  ResolvedNode,
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

/** Points enough to stand in columns. */
const LEAST_POINTS = 4;
export const isList = ({ paragraph, plate }: TextNode): boolean =>
  paragraph.points >= LEAST_POINTS && !plate;

/** Type set this tight is to be looked at rather than read. */
export const isDisplay = ({ paragraph }: TextNode): boolean =>
  paragraph.style.leading < DISPLAY_LEADING;

/** A headline with nothing beside it that it must be larger than. */
export const isAlone = ({ above, details, cta, sender }: Parts): boolean =>
  [above, details, sender].every((all) => all.length === 0) && !cta;
