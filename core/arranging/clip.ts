import { z } from "zod";
import { scaleBox } from "../geometry";
import { composedFrame, Filling, Frame, Node, SlotName, type Piece, type Style } from "../piece";
import { freeGroup, tidied } from "./groups";
import { freeNodeId, freeSlot } from "./layers";

/** Nodes as they are copied, with what they show and the frame that they stood in. */
export const Clip = z.object({
  frame: Frame,
  nodes: z.array(Node).min(1),
  message: z.record(SlotName, Filling),
});
export type Clip = z.infer<typeof Clip>;

/** Some nodes of a piece, back to front; undefined for none. */
export function clipOf(piece: Piece, ids: readonly string[]): Clip | undefined {
  const nodes = piece.arrangement.filter(({ id }) => ids.includes(id));
  const frame = composedFrame(piece);
  if (nodes.length === 0 || !frame) return undefined;
  const slots = new Set(nodes.flatMap(({ slot }) => slot ?? []));
  const message = Object.entries(piece.message).filter(([slot]) => slots.has(slot));
  return { frame, nodes, message: Object.fromEntries(message) };
}

/**
 * The piece with copied nodes in front, as large in its frame as they were in theirs, and with words of their own; answers
 * their ids too. `aside` is lead pixels.
 */
export function pasted(
  piece: Piece,
  { frame, nodes, message }: Clip,
  aside: number,
): { piece: Piece; ids: string[] } {
  const own = composedFrame(piece) ?? frame;
  const by = Math.min(own.width / frame.width, own.height / frame.height);
  const slots = new Map<string, string>();
  const ids = new Map<string, string>();
  const groups = new Map<string, string>();
  let after = piece;
  for (const [slot, filling] of Object.entries(message)) {
    const free = freeSlot(after, slot);
    slots.set(slot, free);
    after = { ...after, message: { ...after.message, [free]: filling } };
  }
  for (const node of nodes) {
    const id = freeNodeId(after, node.id);
    ids.set(node.id, id);
    const box = scaleBox(node.box, by);
    const { on, slot, style, group, ...rest } = node;
    const copy: Node = {
      ...rest,
      id,
      box: { ...box, x: box.x + aside, y: box.y + aside },
      style: style.size === undefined ? style : { ...style, size: style.size * by },
      ...(on !== undefined && ids.has(on) ? { on: ids.get(on)! } : {}),
      ...(slot === undefined ? {} : { slot: slots.get(slot) ?? slot }),
      ...(group === undefined ? {} : { group: groupFor(group) }),
    };
    after = { ...after, arrangement: [...after.arrangement, copy] };
  }
  return { piece: tidied(after), ids: [...ids.values()] };

  function groupFor(group: string): string {
    const known = groups.get(group) ?? freeGroup(piece, group);
    groups.set(group, known);
    return known;
  }
}

/** What a style says of any node, and what of words alone; a size in lead pixels goes along with the latter. */
const OF_ALL = ["colour", "gradient", "stroke", "shadow", "blend", "opacity"] as const;
const OF_WORDS = [
  "type",
  "size",
  "weight",
  "features",
  "case",
  "tracking",
  "leading",
  "align",
  "plate",
  "outline",
  "marker",
  "accent",
] as const;

/** The style that another node takes over from one: how it looks, not what it is. */
export function styleFor(from: Pick<Node, "kind" | "style">, to: Pick<Node, "kind">): Style {
  const fields: readonly (keyof Style)[] =
    from.kind === "text" && to.kind === "text" ? [...OF_ALL, ...OF_WORDS] : OF_ALL;
  return Object.fromEntries(
    fields.flatMap((field) =>
      from.style[field] === undefined ? [] : [[field, from.style[field]]],
    ),
  );
}
