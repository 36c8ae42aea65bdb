import type { Piece, Slide } from "../piece";
import { same } from "../same";
import { PIECE_FIELDS, type Address } from "./address";
import type { Change, Edit, EditName } from "./edit";
import { ROWS, valueAt, withValueAt, type Row } from "./place";

/** One thing of a piece put otherwise. */
export const setting = (piece: Piece, at: Address, to: unknown, gesture?: string): Edit => ({
  changes: [{ at, to: to as Change["to"], was: valueAt(piece, at) as Change["was"] }],
  ...(gesture ? { gesture } : {}),
});

/** What leads from one piece to another, in as few and small changes as say it; undefined when nothing does. */
export function editTo(before: Piece, after: Piece, name?: EditName): Edit | undefined {
  const changes = changesTo(before, after);
  return changes.length > 0 ? { changes, ...(name ? { name } : {}) } : undefined;
}

function changesTo(before: Piece, after: Piece): Change[] {
  const made = new Changes(before);
  // A size has to be there before it leads, and another has to lead before it goes.
  made.rows("sizes", after, "come");
  for (const field of PIECE_FIELDS) made.put([field], after[field] ?? null);
  for (const row of ["message", "arrangement", "slides", "sizes"] as const) {
    made.rows(row, after, "come");
    made.rows(row, after, "go");
    made.order(row, after);
    for (const [key, value] of ROWS[row].of(after)) made.parts(row, key, value);
  }
  return made.changes;
}

/** Changes one after another, each from where those before it have led. */
class Changes {
  readonly changes: Change[] = [];

  constructor(private now: Piece) {}

  put(at: Address, to: unknown): void {
    const was = valueAt(this.now, at);
    if (same(was, to)) return;
    this.changes.push({ at, to: to as Change["to"], was: was as Change["was"] });
    this.now = withValueAt(this.now, at, to);
  }

  rows(row: Row, after: Piece, which: "come" | "go"): void {
    const wanted = ROWS[row].of(after);
    const there = ROWS[row].of(this.now).map(([key]) => key);
    if (which === "go") {
      const stays = new Set(wanted.map(([key]) => key));
      for (const key of there.toReversed()) if (!stays.has(key)) this.put(whole(row, key), null);
      return;
    }
    const known = new Set(there);
    wanted.forEach(([key, value], index) => {
      if (!known.has(key))
        this.put(whole(row, key), { value, after: wanted[index - 1]?.[0] ?? null });
    });
  }

  /** Moves as few as can be: what is in the longest run that is in order already stays where it is. */
  order(row: Row, after: Piece): void {
    const wanted = ROWS[row].of(after).map(([key]) => key);
    const position = new Map(ROWS[row].of(this.now).map(([key], index) => [key, index]));
    const stays = new Set(longestRising(wanted, (key) => position.get(key)!));
    wanted.forEach((key, index) => {
      if (!stays.has(key)) this.put([row, key, "after"] as Address, wanted[index - 1] ?? null);
    });
  }

  /** What is otherwise inside one of a row. */
  parts(row: Row, key: string, value: object): void {
    const was = ROWS[row].of(this.now).find(([one]) => one === key)![1];
    // Words do not become a picture bit by bit.
    if ("text" in was !== "text" in value) {
      const after = valueAt(this.now, [row, key, "after"] as Address);
      return this.put(whole(row, key), { value, after });
    }
    const to = new Map(leavesOf(row, value).map(({ way, part }) => [way.join("\n"), part]));
    const ways = [...leavesOf(row, was), ...leavesOf(row, value)].map(({ way }) => way);
    for (const way of ways)
      this.put([row, key, ...way] as unknown as Address, to.get(way.join("\n")) ?? null);
  }
}

interface Leaf {
  way: string[];
  part: unknown;
}

/** What can be changed by itself inside a slot, a node or a size. */
function leavesOf(row: Row, value: object): Leaf[] {
  if (row === "message") return fieldsOf(value);
  if (row === "arrangement") return nodeLeaves(value);
  if (row === "slides") return slideLeaves(value);
  const { placement: _placement, changes, ...rest } = value as Piece["sizes"][number];
  const local = Object.entries(changes).flatMap(([node, change]) =>
    nodeLeaves(change).map(({ way, part }) => ({ way: ["changes", node, ...way], part })),
  );
  return [...fieldsOf(rest), ...local];
}

/** What a slide says is one thing, and how it is arranged another. */
function slideLeaves(value: object): Leaf[] {
  const { id: _id, shown: _shown, ...rest } = value as Slide;
  return fieldsOf(rest);
}

function nodeLeaves(node: object): Leaf[] {
  const { id: _id, style, ...rest } = node as Partial<Piece["arrangement"][number]>;
  return [
    ...fieldsOf(rest),
    ...fieldsOf(style ?? {}).map(({ way, part }) => ({ way: ["style", ...way], part })),
  ];
}

const fieldsOf = (value: object): Leaf[] =>
  Object.entries(value).map(([field, part]) => ({ way: [field], part }));

const whole = (row: Row, key: string) => [row, key] as unknown as Address;

/** The longest run of items whose positions rise, by the ends of the shorter ones. */
function longestRising<T>(items: readonly T[], position: (item: T) => number): T[] {
  const ends: number[] = [];
  const before: (number | undefined)[] = [];
  items.forEach((item, index) => {
    const found = ends.findIndex((end) => position(items[end]!) >= position(item));
    const length = found < 0 ? ends.length : found;
    before[index] = ends[length - 1];
    ends[length] = index;
  });
  const run: T[] = [];
  for (let index = ends.at(-1); index !== undefined; index = before[index])
    run.unshift(items[index]!);
  return run;
}
