import type { Brand } from "../brand";
import type { Node, Piece, Role, Style } from "../piece";
import { pairingWords } from "../wording/looks";

/** A way of using a brand's typefaces: what the display words of an arrangement take on. */
export interface Pairing {
  id: string;
  /** As it is said of a look. */
  name: string;
  style: Pick<Style, "type" | "weight" | "case" | "leading" | "tracking">;
}

const DISPLAY: ReadonlySet<Role> = new Set(["headline", "quote", "figure", "price"]);

/** The kit's own pairing first; then only with what the kit has, so that every one of them is on brand. */
export function pairingsOf({ typefaces: { headline, accent } }: Brand): Pairing[] {
  const capitals = headline.case === "upper";
  return [
    pairing("kit", {}),
    pairing("text", { type: "text", weight: 700, leading: 1, tracking: -0.02 }),
    capitals
      ? pairing("as-typed", { case: "as-typed" })
      : pairing("capitals", { case: "upper", leading: 0.95 }),
    ...(accent ? [pairing("accent", { type: "accent" })] : []),
  ];
}

const pairing = (id: keyof typeof pairingWords, style: Pairing["style"]): Pairing => ({
  id,
  name: pairingWords[id],
  style,
});

/** An arrangement whose display words are set in that way. */
export const pairedAs = (arrangement: readonly Node[], { style }: Pairing): Node[] =>
  arrangement.map((node) =>
    node.kind === "text" && DISPLAY.has(node.role)
      ? { ...node, style: { ...node.style, ...style } }
      : node,
  );

/** The piece, or all slides of a strip, with the kit's typefaces used in another way; as it is where the kit has no such way. */
export function inTypefaces(piece: Piece, id: string, brand: Brand): Piece {
  const way = pairingsOf(brand).find((one) => one.id === id);
  if (!way) return piece;
  const set = <T extends Pick<Piece, "arrangement">>(one: T): T => ({
    ...one,
    arrangement: pairedAs(one.arrangement, way),
  });
  return { ...set(piece), ...(piece.slides ? { slides: piece.slides.map(set) } : {}) };
}
