import { isCounted } from "../message";
import { bottom, right } from "../geometry";
import type { Layout, Placed } from "../refit";
import type { Finding } from "./finding";
import { named } from "./ink";

/** Closer than this many pixels, edges are the same to the eye: letters overhang their edge by as much. */
const SAME = 1.5;
/** Farther apart than this share of the text's size, edges differ on purpose. By eye. */
const ON_PURPOSE = 0.4;

/**
 * Equal things are equal: words and logo that stand one under the other share their edge or clearly do not. An edge
 * that is missed by a little looks like a mistake.
 */
export function checkAlignment(layout: Layout): Finding[] {
  const all = layout.placed.filter((item) => isAligned(item, layout));
  const items = all.filter((item) => !endsRow(item, all));
  const edge = edgeOf(items);
  const sorted = [...items].sort((a, b) => edge(a) - edge(b));
  return sorted.flatMap((item, index): Finding[] => {
    const before = sorted.slice(0, index).filter((other) => !besideEachOther(item, other));
    const near = before.at(-1);
    if (!near || before.some((other) => sharesEdge(item, other))) return [];
    const measured = edge(item) - edge(near);
    const limit = ON_PURPOSE * Math.min(sizeOf(item, layout), sizeOf(near, layout));
    if (measured >= limit) return [];
    const about = near.node.id;
    return [
      { code: "nearly-aligned", level: "look-again", ...named(item), about, measured, unit: "px" },
    ];
  });
}

const sharesEdge = (a: Placed, b: Placed): boolean =>
  [0, 0.5, 1].some((at) => Math.abs(along(a, at) - along(b, at)) <= SAME);

/** What signs or is pressed at the end of a row stands against the other margin, or right beside what begins it. */
const ENDING: ReadonlySet<string> = new Set(["handle", "site", "logo", "cta"]);
const endsRow = (item: Placed, all: readonly Placed[]): boolean =>
  ENDING.has(item.node.role) &&
  all.some((other) => other.box.x < item.box.x && besideEachOther(item, other));

/** What stands in a badge, counts the slides or is turned has an order of its own. */
function isAligned({ node, text, logo, turn }: Placed, { placed }: Layout): boolean {
  const ground = placed.find((item) => item.node.id === node.on)?.node;
  const apart = node.role === "badge" || node.role === "price" || ground?.role === "badge";
  if (isCounted(node.slot ?? "") || node.strip === "across") return false;
  return (text !== undefined || logo !== undefined) && turn === 0 && !apart;
}

/** The edge that most of the words are set against. */
function edgeOf(items: readonly Placed[]): (item: Placed) => number {
  const shares = items.flatMap(({ node }) =>
    node.type === "text" && !node.plate ? [node.paragraph.alignShare] : [],
  );
  const mean = shares.reduce((sum, share) => sum + share, 0) / Math.max(1, shares.length);
  const align = mean < 0.25 ? 0 : mean > 0.75 ? 1 : 0.5;
  return (item) => along(item, align);
}

/** Where a thing is at a share of its width: 0 its left edge, 1 its right. */
function along({ box, text, node }: Placed, share: number): number {
  const ink = text && !(node.type === "text" && node.plate) ? text.ink : box;
  return ink.x + share * (right(ink) - ink.x);
}

const besideEachOther = ({ box: a }: Placed, { box: b }: Placed): boolean =>
  a.y < bottom(b) && b.y < bottom(a);

const sizeOf = ({ text }: Placed, { floor }: Layout): number => text?.set.size ?? floor;
