import { bottom, box, overlaps, right, type Box } from "../geometry";
import type { Layout, Placed } from "../refit";

/** Words that stand in the middle of their room, to this share of its height, stay there. */
const MIDDLE = 0.12;

/**
 * The layout with the words over and under the ruling text moved to it where that takes fewer lines than its room was made for:
 * towards the edge that the words stand at.
 */
export function closedUp(layout: Layout): Layout {
  const ruling = layout.placed.find(({ node, text }) => text && node.importance === 5);
  if (!ruling?.text) return layout;
  const room = ruling.node.box;
  const spare = room.height - ruling.text.ink.height;
  if (spare < 1) return layout;
  const column = columnOf(ruling, layout);
  const free = Math.min(spare, roomToMove(column, ruling, layout));
  const { over, under } = shifts(column, ruling, layout, free);
  return {
    ...layout,
    placed: layout.placed.map((item) => {
      if (!column.includes(item)) return item;
      const isUnder = item !== ruling && item.box.y >= room.y + 0.5 * room.height;
      return movedBy(item, isUnder ? -under : over);
    }),
  };
}

/** Words farther from the next than this share of the height stand by themselves. By eye. */
const APART = 0.07;

/** The ruling text and the words over and under it, each close to the next and with nothing between. */
function columnOf(ruling: Placed, layout: Layout): Placed[] {
  const room = ruling.node.box;
  const words = layout.placed.filter((item) => mayFollow(item, ruling, layout));
  const most = APART * layout.placement.height;
  const under: Placed[] = [];
  const over: Placed[] = [];
  let [top, foot] = [room.y, bottom(room)];
  for (const item of [...words].sort((a, b) => a.box.y - b.box.y)) {
    if (item.box.y < foot - 1 || item.box.y - foot > most) continue;
    under.push(item);
    // What stands in one row with it goes along.
    for (const beside of words)
      if (beside !== item && isBeside(beside.box, item.box) && !under.includes(beside))
        under.push(beside);
    foot = Math.max(...under.map(({ box: at }) => bottom(at)));
  }
  for (const item of [...words].sort((a, b) => bottom(b.box) - bottom(a.box))) {
    if (bottom(item.box) > top + 1 || top - bottom(item.box) > most) continue;
    over.push(item);
    top = Math.min(top, item.box.y);
  }
  return [ruling, ...under, ...over];
}

const isBeside = (a: Box, b: Box): boolean => a.y < bottom(b) && bottom(a) > b.y;

/** Words on the same ground as the ruling text that nobody pinned, with no picture or drawing between. */
function mayFollow(
  { node, text, logo, box: at }: Placed,
  ruling: Placed,
  { placed }: Layout,
): boolean {
  const { node: head } = ruling;
  if (node === head || !(text ?? logo) || node.pin || node.strip || node.on !== head.on)
    return false;
  const room = head.box;
  if (isBeside(at, room)) return false;
  const gap = at.y >= bottom(room) ? between(room, at) : between(at, room);
  return !placed.some(
    (other) =>
      (other.node.type === "picture" || other.node.role === "ornament") &&
      gap.height > 0 &&
      overlaps(other.box, gap) &&
      !within(other.box, gap),
  );
}

const between = (over: Box, under: Box): Box => {
  const x = Math.max(over.x, under.x);
  const width = Math.min(right(over), right(under)) - x;
  return box(x, bottom(over), Math.max(1, width), under.y - bottom(over));
};
const within = (outer: Box, inner: Box): boolean =>
  outer.y <= inner.y && bottom(outer) >= bottom(inner);

/** What stays free between words that move and what stands in their way, as a share of the height. */
const AIR = 0.03;

/** How far the words under the ruling text may go up, and those over it down, before they meet what stays. */
function roomToMove(
  column: readonly Placed[],
  ruling: Placed,
  { placed, placement }: Layout,
): number {
  const staying = placed.filter(
    (item) => !column.includes(item) && (item.text ?? item.logo ?? item.node.type === "picture"),
  );
  const middle = ruling.node.box.y + 0.5 * ruling.node.box.height;
  const rooms = column.flatMap(({ box: at, node }) =>
    staying.flatMap(({ box: other }) => {
      if (other.x >= right(at) || right(other) <= at.x || node === ruling.node) return [];
      const gap = at.y > middle ? at.y - bottom(other) : other.y - bottom(at);
      return gap >= 0 ? [Math.max(0, gap - AIR * placement.height)] : [];
    }),
  );
  return Math.min(Infinity, ...rooms);
}

/** How far what stands over the gap goes down, and what stands under it up. */
function shifts(
  column: readonly Placed[],
  ruling: Placed,
  { safe, placement }: Layout,
  spare: number,
): { over: number; under: number } {
  const boxes = column.map((item) => (item === ruling ? ruling.node.box : item.box));
  const top = Math.min(...boxes.map(({ y }) => y)) - safe.y;
  const foot = bottom(safe) - Math.max(...boxes.map(bottom));
  if (Math.abs(top - foot) < MIDDLE * placement.height)
    return { over: spare / 2, under: spare / 2 };
  return top < foot ? { over: 0, under: spare } : { over: spare, under: 0 };
}

function movedBy(item: Placed, y: number): Placed {
  const down = (at: Box): Box => ({ ...at, y: at.y + y });
  const { text, also, about } = item;
  return {
    ...item,
    box: down(item.box),
    ...(text ? { text: { ...text, ink: down(text.ink) } } : {}),
    ...(also ? { also: down(also) } : {}),
    ...(about ? { about: { ...about, y: about.y + y } } : {}),
  };
}
