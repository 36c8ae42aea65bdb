import { isCounted, RULING_SLOTS } from "../../message";
import type { Placed } from "../layout";

/** Set large on purpose, or apart from the reading. */
const ASIDE: ReadonlySet<string> = new Set(["price", "badge", "logo", ...RULING_SLOTS]);

/** The order of sizes: the ruling text, its size in output pixels, and what is at least as large against it. */
export interface Order {
  texts: Placed[];
  ruling: number;
  louder: Placed[];
}

/** What rules is the largest on a size, but for prices, and for what a badge holds. */
export function orderOf(placed: readonly Placed[]): Order {
  const badges = new Set(
    placed.filter(({ node }) => node.role === "badge").map(({ node }) => node.id),
  );
  const texts = placed.filter(({ text, node }) => text && !badges.has(node.on ?? ""));
  const ruling = largest(texts.filter(({ node }) => RULING_SLOTS.includes(node.role)));
  const rest = texts.filter(({ node }) => !ASIDE.has(node.role) && !isCounted(node.slot ?? ""));
  const louder = ruling > 0 ? rest.filter(({ text }) => text!.set.size >= ruling) : [];
  return { texts, ruling, louder };
}

/** The largest size of some texts; 0 of none. */
export const largest = (items: readonly Placed[]): number =>
  Math.max(0, ...items.map(({ text }) => text!.set.size));
