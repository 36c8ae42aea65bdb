import { area, box, inset, intersect, largestFree, scaleBox, tiles, type Box } from "../geometry";
import type { FileId } from "../files";
import { composedFrame, type Node, type Piece } from "../piece";
import { frameOf, keptArea, type Placement } from "../placements";
import type { ShapeKind } from "../shape";
import { freeNodeId, freeSlot } from "./layers";

/** Shapes that are offered to be added, each with its width to its height. */
export const ADDED_SHAPES = {
  rectangle: 1.5,
  pill: 3,
  ellipse: 1,
  diamond: 1,
  polygon: 1,
  star: 1,
  burst: 1,
  speech: 1.4,
  arrow: 2,
  line: 12,
  leaf: 1,
  pebble: 1,
  blob: 1,
  ticket: 2,
  arch: 0.8,
  waves: 1.5,
  dots: 1.5,
  stripes: 1.5,
  rays: 1,
  arcs: 1,
} as const satisfies Partial<Record<ShapeKind, number>>;
export type AddedShape = keyof typeof ADDED_SHAPES;

/** As shares of the frame's sides: what is added is seen, and leaves room around it. By eye. */
const MARGIN = 0.06;
const WIDEST = 0.4;
const HIGHEST = 0.25;
/** An icon or a code, and the least side that a camera reads with ease, as shares of the short side. By eye. */
const ICON = 0.12;
const CODE = 0.2;
/** Running text as a share of the frame's short side. Common practice. */
const TEXT = 0.035;

/** The lead that something is added on. */
export interface Lead extends Placement {
  /** Where all but its ground is seen, in its pixels; what is not seen takes no room. */
  seen?: readonly Box[];
}

/** The piece with something new, and the nodes that it consists of. */
export interface Added {
  piece: Piece;
  ids: string[];
}

/** The piece with a shape in the largest free place, in the brand's colour for what stands out. */
export function withShape(piece: Piece, lead: Lead, kind: AddedShape): Added {
  return withNode(piece, {
    id: freeNodeId(piece, kind),
    kind: kind === "line" ? "line" : "shape",
    role: "ornament",
    box: fitted(aired(freePlace(piece, lead)), ADDED_SHAPES[kind]),
    style: { shape: kind, colour: "action" },
    pin: {},
  });
}

/** With an icon of the set, by its name there. */
export function withIcon(piece: Piece, lead: Lead, name: string): Added {
  const side = ICON * shortSide(piece);
  return withNode(piece, {
    id: freeNodeId(piece, "icon"),
    kind: "icon",
    role: "ornament",
    box: square(piece, lead, side),
    style: { icon: name, colour: "action" },
    pin: {},
  });
}

/** With a code that leads to an address, which is one of the message's words; it is laid out among them. */
export function withCode(piece: Piece, lead: Lead, address: string): Added {
  const slot = freeSlot(piece, "code");
  const side = CODE * shortSide(piece);
  const worded = { ...piece, message: { ...piece.message, [slot]: { text: address } } };
  return withNode(worded, {
    id: freeNodeId(piece, slot),
    kind: "code",
    role: "figure",
    slot,
    box: square(piece, lead, side),
    style: {},
  });
}

/** With words of its message in the largest free place, in the brand's text type. */
export function withWords(piece: Piece, lead: Lead, text: string): Added {
  const slot = freeSlot(piece, "body");
  const place = freePlace(piece, lead);
  const size = TEXT * shortSide(piece);
  const worded = { ...piece, message: { ...piece.message, [slot]: { text } } };
  return withNode(worded, {
    id: freeNodeId(piece, slot),
    kind: "text",
    role: "body",
    slot,
    box: { ...place, height: Math.min(place.height, 3 * size) },
    style: { type: "text", size, leading: 1.35, colour: "support" },
  });
}

/** Between pictures that belong together, as a share of the frame's short side. By eye. */
const GAP = 0.012;
/** And what they take of the frame where nothing is free. By eye. */
const HALF = 0.5;

/** With some pictures, together in one area: the largest that is free, else half of the frame, behind the words. */
export function withPictures(piece: Piece, lead: Lead, files: readonly FileId[]): Added {
  const frame = frameOfPiece(piece);
  const free = largestFree(frame, occupied(piece, lead));
  const room = area(free) > 0.12 * area(frame) ? free : { ...frame, height: HALF * frame.height };
  const parts = tiles(room, files.length, GAP * shortSide(piece));
  const grounds = piece.arrangement.filter(({ role }) => role === "backdrop").length;
  const ids: string[] = [];
  const after = files.reduce((done, picture, index): Piece => {
    const slot = freeSlot(done, "picture");
    const id = freeNodeId(done, slot);
    ids.push(id);
    const node: Node = { id, kind: "picture", role: "photo", slot, box: parts[index]!, style: {} };
    return {
      ...done,
      message: { ...done.message, [slot]: { picture } },
      arrangement: done.arrangement.toSpliced(grounds + index, 0, node),
    };
  }, piece);
  return { piece: after, ids };
}

const wholeBox = ({ x, y, width, height }: Box): Box =>
  box(...([x, y, width, height].map(Math.round) as [number, number, number, number]));

export const withNode = (piece: Piece, node: Node): Added => ({
  piece: { ...piece, arrangement: [...piece.arrangement, { ...node, box: wholeBox(node.box) }] },
  ids: [node.id],
});

/** What the piece was composed in, in lead pixels. */
export const frameOfPiece = (piece: Piece): Box => composedFrame(piece) ?? box(0, 0, 1080, 1080);

/** The shorter side of the frame that the piece was composed for, in lead pixels. */
export function shortSide(piece: Piece): number {
  const { width, height } = frameOfPiece(piece);
  return Math.min(width, height);
}

/** Where what is added may stand: within the margins, and clear of what the channel covers. In lead pixels. */
export function roomFor(piece: Piece, lead: Lead): Box {
  const frame = frameOfPiece(piece);
  const inner = inset(frame, MARGIN * Math.min(frame.width, frame.height));
  const kept = intersect(keptArea(lead, "headline"), inset(frameOf(lead), lead.margin));
  return intersect(inner, scaleBox(kept, frame.width / lead.width));
}

/** From what is seen, as a share of the short side. By eye. */
const AIR = 0.02;

/** Where something stands: as it is seen where that is known, and some air; else all the room that it was composed with. */
function occupied(piece: Piece, { seen, width }: Lead): Box[] {
  const scale = frameOfPiece(piece).width / width;
  if (seen) return seen.map((at) => inset(scaleBox(at, scale), -AIR * shortSide(piece)));
  const shown = piece.arrangement.filter(({ role, hidden }) => role !== "backdrop" && !hidden);
  return shown.map(({ box: at }) => at);
}

/** In lead pixels, not larger than what is added should be; the middle of the frame where nothing is free. */
export function freePlace(piece: Piece, lead: Lead, widest = WIDEST, highest = HIGHEST): Box {
  const frame = frameOfPiece(piece);
  const inner = roomFor(piece, lead);
  const free = largestFree(inner, occupied(piece, lead));
  const room = Math.min(free.width, free.height) > 0.05 * inner.height ? free : inner;
  return middled(
    room,
    Math.min(room.width, widest * frame.width),
    Math.min(room.height, highest * frame.height),
  );
}

/** In a free place, and whole in the frame whatever is free. */
export function square(piece: Piece, lead: Lead, side: number): Box {
  const room = roomFor(piece, lead);
  const { x, y } = middled(freePlace(piece, lead), side, side);
  const within = (at: number, from: number, length: number) =>
    Math.max(from, Math.min(at, from + length - side));
  return box(within(x, room.x, room.width), within(y, room.y, room.height), side, side);
}

const middled = (room: Box, width: number, height: number): Box =>
  box(room.x + (room.width - width) / 2, room.y + (room.height - height) / 2, width, height);

/** With some air to what stands around. */
const aired = (place: Box): Box => inset(place, 0.08 * Math.min(place.width, place.height));

function fitted(place: Box, ratio: number): Box {
  const width = Math.min(place.width, place.height * ratio);
  return middled(place, width, width / ratio);
}
