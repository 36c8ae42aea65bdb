import type { LocalChange, Node, Piece, Size } from "../../core/piece";

/** A piece put otherwise in one way or several, by numbers from 0 to 1: all that an edit can say comes up. */
export function otherwise(piece: Piece, random: () => number): Piece {
  const any = <T>(items: readonly T[]): T => items[Math.floor(random() * items.length)]!;
  const how = Math.floor(random() * WAYS.length);
  const after = WAYS[how]!(piece, random, any);
  return random() < 0.2 ? otherwise(after, random) : after;
}

type Way = (piece: Piece, random: () => number, any: <T>(items: readonly T[]) => T) => Piece;

const WORDS = ["Boats", "Low tide", "“Ne kadar?”", "潮", ""];
const TOKENS = ["primary", "accent", "#C0FFEE"];

const nodeOtherwise = <T extends LocalChange | Node>(
  node: T,
  random: () => number,
  token: string,
): T => {
  if (random() < 0.3) return { ...node, hidden: !node.hidden };
  if (random() < 0.5) return { ...node, style: { ...node.style, colour: token } };
  const { colour: _colour, ...style } = node.style ?? {};
  return { ...node, style: { ...style, size: Math.ceil(random() * 90) } };
};

const sizeOtherwise = (size: Size, random: () => number, id: string, token: string): Size => {
  const { layout, ...rest } = size;
  if (random() < 0.3) return layout ? rest : { ...rest, layout: { kind: "card", words: "stack" } };
  const { [id]: before, ...others } = size.changes;
  const change = nodeOtherwise(before ?? {}, random, token);
  return { ...size, changes: random() < 0.3 ? others : { ...others, [id]: change } };
};

const shuffled = <T>(items: readonly T[], random: () => number): T[] => {
  const from = Math.floor(random() * items.length);
  const left = items.toSpliced(from, 1);
  return left.toSpliced(Math.floor(random() * items.length), 0, items[from]!);
};

const WAYS: Way[] = [
  (piece, _, any) => ({ ...piece, title: any(["One", "Two", "Three"]) }),
  (piece, _, any) => ({ ...piece, spread: any([{}, { backdrop: "sun" }, { backdrop: "deep" }]) }),
  (piece, _, any) => ({ ...piece, language: any(["de", "tr", undefined]) }),
  (piece, _, any) => ({ ...piece, without: any([["logo" as const], undefined]) }),
  (piece, _, any) => {
    const [slot, filling] = any(Object.entries(piece.message));
    const to =
      "text" in filling ? { ...filling, text: any(WORDS) } : { ...filling, alt: any(WORDS) };
    return { ...piece, message: { ...piece.message, [slot]: to } };
  },
  (piece, _, any) => {
    const slot = any(["price", "badge", "site", "note"]);
    const { [slot]: before, ...message } = piece.message;
    return { ...piece, message: before ? message : { ...message, [slot]: { text: any(WORDS) } } };
  },
  (piece, random) => ({
    ...piece,
    message: Object.fromEntries(shuffled(Object.entries(piece.message), random)),
  }),
  (piece, random) => ({ ...piece, arrangement: shuffled(piece.arrangement, random) }),
  (piece, random, any) => {
    const at = Math.floor(random() * piece.arrangement.length);
    const node = nodeOtherwise(piece.arrangement[at]!, random, any(TOKENS)) as Node;
    return { ...piece, arrangement: piece.arrangement.with(at, node) };
  },
  (piece, _, any) => {
    const extra = any(["rule", "sun", "tail"]);
    const there = piece.arrangement.some(({ id }) => id === extra);
    const left = piece.arrangement.filter(({ id }) => id !== extra);
    const box = { x: 1, y: 2, width: 30, height: 4 };
    const node: Node = { id: extra, kind: "shape", role: "ornament", box, style: {} };
    return { ...piece, arrangement: there ? left : [node, ...left] };
  },
  (piece, random) => ({ ...piece, sizes: shuffled(piece.sizes, random) }),
  (piece, random, any) => {
    const at = Math.floor(random() * piece.sizes.length);
    const { id } = any(piece.arrangement);
    const size = sizeOtherwise(piece.sizes[at]!, random, id, any(TOKENS));
    return { ...piece, sizes: piece.sizes.with(at, size) };
  },
  (piece, _, any) => {
    const { placement } = any(piece.sizes);
    const sizes = piece.sizes.filter((size) => size.placement !== placement);
    return placement === piece.lead || sizes.length === 0
      ? { ...piece, sizes: [...piece.sizes, ...missing(piece)] }
      : { ...piece, sizes };
  },
  (piece, _, any) => ({
    ...piece,
    lead: any(piece.sizes).placement,
    frame: any([undefined, { width: 1080, height: 1920 }]),
  }),
];

const missing = ({ sizes }: Piece): Size[] =>
  sizes.some(({ placement }) => placement === "poster-a3")
    ? []
    : [{ placement: "poster-a3", changes: {} }];
