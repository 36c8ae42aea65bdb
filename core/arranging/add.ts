import { box, inset, largestFree, type Box } from "../geometry";
import { composedFrame, type Node, type Piece } from "../piece";
import type { ShapeKind } from "../shape";
import { freeNodeId, freeSlot } from "./layers";

/** Shapes that are offered to be added, each with its width to its height. */
const SHAPES = {
  rectangle: 1.5,
  ellipse: 1,
  burst: 1,
  star: 1,
  arrow: 2,
  line: 12,
} as const satisfies Partial<Record<ShapeKind, number>>;
export type AddedShape = keyof typeof SHAPES;

/** As shares of the frame's sides: what is added is seen, and leaves room around it. By eye. */
const MARGIN = 0.06;
const WIDEST = 0.4;
const HIGHEST = 0.25;
/** Running text as a share of the frame's short side. Common practice. */
const TEXT = 0.035;

interface Added {
  piece: Piece;
  id: string;
}

/** The piece with a shape in the largest free place, in the brand's colour for what stands out. */
export function withShape(piece: Piece, kind: AddedShape): Added {
  const at = fitted(freePlace(piece), SHAPES[kind]);
  return withNode(piece, {
    id: freeNodeId(piece, kind),
    kind: kind === "line" ? "line" : "shape",
    role: "ornament",
    box: at,
    style: { shape: kind, colour: "action" },
  });
}

/** The piece with words of its message in the largest free place, in the brand's text type. */
export function withWords(piece: Piece, text: string): Added {
  const slot = freeSlot(piece, "body");
  const place = freePlace(piece);
  const { width, height } = frameOfPiece(piece);
  const size = TEXT * Math.min(width, height);
  const node: Node = {
    id: freeNodeId(piece, slot),
    kind: "text",
    role: "body",
    slot,
    box: { ...place, height: Math.min(place.height, 3 * size) },
    style: { type: "text", size, leading: 1.35, colour: "support" },
  };
  const { message } = piece;
  return withNode({ ...piece, message: { ...message, [slot]: { text } } }, node);
}

const withNode = (piece: Piece, node: Node): Added => ({
  piece: { ...piece, arrangement: [...piece.arrangement, node] },
  id: node.id,
});

const frameOfPiece = (piece: Piece): Box => composedFrame(piece) ?? box(0, 0, 1080, 1080);

/** In lead pixels, not larger than what is added should be; the middle of the frame where nothing is free. */
function freePlace(piece: Piece): Box {
  const frame = frameOfPiece(piece);
  const inner = inset(frame, MARGIN * Math.min(frame.width, frame.height));
  const taken = piece.arrangement.flatMap(({ role, box: at }) => (role === "backdrop" ? [] : [at]));
  const free = largestFree(inner, taken);
  const room = Math.min(free.width, free.height) > 0.05 * inner.height ? free : inner;
  const [width, height] = [
    Math.min(room.width, WIDEST * frame.width),
    Math.min(room.height, HIGHEST * frame.height),
  ];
  return box(room.x + (room.width - width) / 2, room.y + (room.height - height) / 2, width, height);
}

function fitted(place: Box, ratio: number): Box {
  const width = Math.min(place.width, place.height * ratio);
  const height = width / ratio;
  return box(
    place.x + (place.width - width) / 2,
    place.y + (place.height - height) / 2,
    width,
    height,
  );
}
