import type { Brand } from "../brand";
import type { Node, Role, Style } from "../piece";

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
    { id: "kit", name: "the kit’s typefaces", style: {} },
    {
      id: "text",
      name: "headline in the text face",
      style: { type: "text", weight: 700, leading: 1, tracking: -0.02 },
    },
    {
      id: capitals ? "as-typed" : "capitals",
      name: capitals ? "headline not in capitals" : "headline in capitals",
      style: capitals ? { case: "as-typed" } : { case: "upper", leading: 0.95 },
    },
    ...(accent
      ? [{ id: "accent", name: "headline in the accent face", style: { type: "accent" } as const }]
      : []),
  ];
}

/** An arrangement whose display words are set in that way. */
export const pairedAs = (arrangement: readonly Node[], { style }: Pairing): Node[] =>
  arrangement.map((node) =>
    node.kind === "text" && DISPLAY.has(node.role)
      ? { ...node, style: { ...node.style, ...style } }
      : node,
  );
