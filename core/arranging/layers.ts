import type { Node, Piece, Without } from "../piece";
import { freeGroup, groupsOf, tidied } from "./groups";

export type Toward = "front" | "forward" | "backward" | "back";

/** The piece with some nodes nearer to the front or the back. They keep their order among each other. */
export function layered(piece: Piece, ids: readonly string[], to: Toward): Piece {
  const chosen = new Set(ids);
  const all = [...piece.arrangement];
  const own = all.filter(({ id }) => chosen.has(id));
  const others = all.filter(({ id }) => !chosen.has(id));
  if (own.length === 0) return piece;
  if (to === "front") return { ...piece, arrangement: [...others, ...own] };
  if (to === "back") return { ...piece, arrangement: [...own, ...others] };
  const ends = all.flatMap(({ id }, index) => (chosen.has(id) ? [index] : []));
  const below = all.slice(0, to === "forward" ? ends.at(-1)! : ends[0]).filter(isOther);
  const at = to === "forward" ? below.length + 1 : Math.max(0, below.length - 1);
  return { ...piece, arrangement: others.toSpliced(at, 0, ...own) };

  function isOther({ id }: Node): boolean {
    return !chosen.has(id);
  }
}

/** The piece with one node right in front of another; behind all where there is no other. */
export function ordered(piece: Piece, id: string, after: string | undefined): Piece {
  const node = piece.arrangement.find((one) => one.id === id);
  if (!node || id === after) return piece;
  const others = piece.arrangement.filter((one) => one !== node);
  const at = others.findIndex((one) => one.id === after) + 1;
  return { ...piece, arrangement: others.toSpliced(at, 0, node) };
}

/** An id that no node of the piece has. */
export function freeNodeId(piece: Piece, wish: string): string {
  const taken = new Set(piece.arrangement.map(({ id }) => id));
  if (!taken.has(wish)) return wish;
  let number = 2;
  while (taken.has(`${wish}-${number}`)) number++;
  return `${wish}-${number}`;
}

/** A slot that the message does not have, and for which nothing waits that has no words yet. */
export function freeSlot({ message, arrangement }: Piece, wish: string): string {
  const taken = new Set(arrangement.flatMap(({ slot }) => slot ?? []));
  const isTaken = (slot: string) => slot in message || taken.has(slot);
  let number = 1;
  while (isTaken(number === 1 ? wish : `${wish}-${number}`)) number++;
  return number === 1 ? wish : `${wish}-${number}`;
}

/** The piece without some nodes, and without the words and pictures that only they show. */
export function removed(piece: Piece, ids: readonly string[]): Piece {
  const gone = new Set(ids);
  const stays = piece.arrangement.filter(({ id }) => !gone.has(id));
  const shown = new Set(stays.flatMap(({ slot }) => slot ?? []));
  const slots = new Set(
    piece.arrangement.flatMap(({ id, slot }) =>
      gone.has(id) && slot !== undefined && !shown.has(slot) ? [slot] : [],
    ),
  );
  const message = Object.entries(piece.message).filter(([slot]) => !slots.has(slot));
  const without = leftOutWith(piece, gone);
  return tidied({
    ...piece,
    ...(without.length > 0 ? { without } : {}),
    message: Object.fromEntries(message) as Piece["message"],
    arrangement: stays.map((node) =>
      node.on !== undefined && gone.has(node.on) ? withoutGround(node) : node,
    ),
    sizes: piece.sizes.map((size) => ({
      ...size,
      changes: Object.fromEntries(Object.entries(size.changes).filter(([id]) => !gone.has(id))),
    })),
  });
}

/** A logo or ornament that is taken out on purpose is not added again by itself. */
function leftOutWith({ arrangement, without = [] }: Piece, gone: ReadonlySet<string>): Without {
  const roles = arrangement.filter(({ id }) => gone.has(id)).map(({ role }) => role);
  const stays = arrangement.filter(({ id }) => !gone.has(id)).map(({ role }) => role);
  const more = (["logo", "ornament"] as const).filter(
    (role) => roles.includes(role) && !stays.includes(role),
  );
  return [...new Set([...without, ...more])];
}

function withoutGround({ on: _on, ...node }: Node): Node {
  return node;
}

/** Copies of nodes in front of them, a little aside, with the same words; answers the copies' ids too. */
export function duplicated(
  piece: Piece,
  ids: readonly string[],
  aside: number,
): { piece: Piece; ids: string[] } {
  const made: string[] = [];
  // Copies of a group are a group of their own.
  const groups = new Map(
    groupsOf(piece, ids).map((group) => [group, freeGroup(piece, `${group} copy`)]),
  );
  const after = ids.reduce((done, id) => {
    const index = done.arrangement.findIndex((node) => node.id === id);
    const node = done.arrangement[index];
    if (!node) return done;
    const copy = freeNodeId(done, id.replace(/-\d+$/, ""));
    made.push(copy);
    const box = { ...node.box, x: node.box.x + aside, y: node.box.y + aside };
    const group = node.group === undefined ? {} : { group: groups.get(node.group)! };
    return {
      ...done,
      arrangement: done.arrangement.toSpliced(index + 1, 0, { ...node, ...group, id: copy, box }),
    };
  }, piece);
  return { piece: tidied(after), ids: made };
}
