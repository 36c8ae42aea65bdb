import { FACT_SLOTS } from "../../message";
import type { ResolvedNode } from "../../resolve";
import { nodesOf, type Item, type Parts } from "./parts";
import { insertedByRank, withPrices } from "./read-parts";

const plain = new WeakMap<Parts, Parts>();

/** The same parts with what is in the badge among the other words; the same object for the same parts. */
export function unbadged(parts: Parts): Parts {
  const { badge, ...rest } = parts;
  if (!badge) return parts;
  let without = plain.get(parts);
  if (!without) {
    const details = insertedByRank(parts.details, withPrices(badge.inside));
    plain.set(parts, (without = { ...rest, details }));
  }
  return without;
}

/** The same parts without the nodes of the given names. */
export function without(parts: Parts, dropped: ReadonlySet<string>): Parts {
  const stays = (node: ResolvedNode): boolean => !dropped.has(node.id);
  const keep = <T extends ResolvedNode>(node: T | undefined) =>
    node && stays(node) ? node : undefined;
  const { ornament, headline, cta, logo, badge, plate, above, details, ...rest } = parts;
  const kept = {
    ornament: keep(ornament),
    headline: keep(headline),
    cta: keep(cta),
    logo: keep(logo),
    plate: keep(plate),
    badge: badge?.inside.every(stays) ? badge : undefined,
  };
  const items = (all: Item[]) => all.filter((item) => nodesOf(item).every(stays));
  return {
    ...rest,
    photos: parts.photos.filter(stays),
    above: items(above),
    details: items(details),
    sender: parts.sender.filter(stays),
    ...Object.fromEntries(Object.entries(kept).filter(([, node]) => node !== undefined)),
  };
}

/**
 * What could be left out, the first to go first; `always` nodes are never among it. What stands in one row
 * goes together, and so does a list: half of one would say something else.
 */
export function droppable(
  { photos, ornament, above, details, cta, logo, sender, badge }: Parts,
  worth: (node: ResolvedNode) => number,
): ResolvedNode[][] {
  const single = [...photos, ornament, cta, logo, ...sender]
    .filter((node): node is NonNullable<typeof node> => node !== undefined)
    .map((node): ResolvedNode[] => [node]);
  // Of equals, what stands last goes first.
  const words = [...above.map(nodesOf), ...listsOf(details)].reverse();
  const groups = [...words, ...single, ...(badge ? [badge.inside] : [])];
  const order = (group: ResolvedNode[]) => Math.max(...group.map(worth));
  return groups
    .filter((group) => group.every((node) => !node.always))
    .sort((a, b) => order(a) - order(b));
}

export const LEAST_LIST = 3;

/** What stands together: facts, the points of a list, the sentences of a text. */
export function groupOf(item: Item): string {
  if (item.type === "row" || item.type === "price") return item.type === "row" ? "row" : "facts";
  if (item.slot !== undefined && FACT_SLOTS.includes(item.slot)) return "facts";
  return item.type === "text" && item.slot !== "list" ? item.role : item.type;
}

/** The nodes of each item, those of a list of like items together. Every fact is one by itself. */
export function listsOf(items: readonly Item[]): ResolvedNode[][] {
  const runs: Item[][] = [];
  for (const item of items) {
    const run = runs.at(-1);
    const goesOn = run && groupOf(run[0]!) === groupOf(item) && groupOf(item) !== "facts";
    if (goesOn) run.push(item);
    else runs.push([item]);
  }
  return runs.flatMap((run) =>
    run.length >= LEAST_LIST ? [run.flatMap(nodesOf)] : run.map(nodesOf),
  );
}
