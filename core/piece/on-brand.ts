import type { Node } from "./node";
import type { Piece } from "./piece";

/** What a mend changes: the style of nodes, at the lead size and on each size. */
export type Styled = Pick<Piece, "arrangement" | "sizes">;

/**
 * The piece with something that is not the brand's exchanged everywhere: a raw colour by a token, or
 * a family of the shelf (`to` left empty) by the typeface that the node's role has.
 */
export function onBrand(
  { arrangement, sizes }: Styled,
  from: string,
  to: string | undefined,
): Styled {
  return {
    arrangement: arrangement.map((node) => ({ ...node, style: exchanged(node.style, from, to) })),
    sizes: sizes.map((size) => ({ ...size, changes: inChanges(size.changes, from, to) })),
  };
}

const inChanges = (
  changes: Piece["sizes"][number]["changes"],
  from: string,
  to: string | undefined,
): typeof changes =>
  Object.fromEntries(
    Object.entries(changes).map(([id, change]) => [
      id,
      change.style ? { ...change, style: exchanged(change.style, from, to) } : change,
    ]),
  );

function exchanged(style: Node["style"], from: string, to: string | undefined): Node["style"] {
  if (to !== undefined) return deeply(style, from.toLowerCase(), to) as Node["style"];
  const { type, ...rest } = style;
  return type === from ? rest : style;
}

/** A raw colour can stand anywhere in a style: in a plate, a shadow, a stop of a gradient. */
function deeply(value: unknown, from: string, to: string): unknown {
  if (typeof value === "string") return value.toLowerCase() === from ? to : value;
  if (Array.isArray(value)) return value.map((part) => deeply(part, from, to));
  if (value === null || typeof value !== "object") return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, part]) => [key, deeply(part, from, to)]),
  );
}
