import type { Node, Piece } from "../piece";

/** A name for a group that no node has yet: the wished one, or that with a number. */
export function freeGroup({ arrangement }: Piece, wish: string): string {
  const taken = new Set(arrangement.map(({ group }) => group));
  if (!taken.has(wish)) return wish;
  let number = 2;
  while (taken.has(`${wish} ${number}`)) number++;
  return `${wish} ${number}`;
}

/** The piece with some nodes as one group, out of any that they were in; alone, a node is no group. */
export function grouped(piece: Piece, ids: readonly string[]): Piece {
  const members = new Set(ids);
  if (members.size < 2) return piece;
  const group = freeGroup(piece, "Group");
  return tidied({
    ...piece,
    arrangement: piece.arrangement.map((node) =>
      members.has(node.id) ? { ...node, group } : node,
    ),
  });
}

/** The piece with the groups of some nodes parted again. */
export function ungrouped(piece: Piece, ids: readonly string[]): Piece {
  const parted = new Set(groupsOf(piece, ids));
  return withGroup(piece, (group) => (parted.has(group) ? undefined : group));
}

/** The piece with a group called otherwise; a name that another group has joins the two. */
export const renamedGroup = (piece: Piece, from: string, to: string): Piece =>
  withGroup(piece, (group) => (group === from ? to : group));

/** Some nodes with all that are in their groups, back to front. */
export function withMembers(piece: Piece, ids: readonly string[]): string[] {
  const groups = new Set(groupsOf(piece, ids));
  const chosen = new Set(ids);
  return piece.arrangement
    .filter(({ id, group }) => chosen.has(id) || (group !== undefined && groups.has(group)))
    .map(({ id }) => id);
}

/** The groups that some nodes are in. */
export function groupsOf({ arrangement }: Piece, ids: readonly string[]): string[] {
  const chosen = new Set(ids);
  const groups = arrangement.flatMap(({ id, group }) => (chosen.has(id) && group ? [group] : []));
  return [...new Set(groups)];
}

/** A group of which one node is left is none. */
export function tidied(piece: Piece): Piece {
  const counts = new Map<string, number>();
  for (const { group } of piece.arrangement)
    if (group) counts.set(group, (counts.get(group) ?? 0) + 1);
  const lonely = [...counts.values()].some((count) => count < 2);
  return lonely ? withGroup(piece, (group) => (counts.get(group)! < 2 ? undefined : group)) : piece;
}

const withGroup = (piece: Piece, to: (group: string) => string | undefined): Piece => ({
  ...piece,
  arrangement: piece.arrangement.map((node) => {
    const { group, ...rest } = node;
    const next = group === undefined ? undefined : to(group);
    return next === group ? node : next === undefined ? rest : ({ ...rest, group: next } as Node);
  }),
});
