import { bottom, box } from "../geometry";
import { RULING_SLOTS } from "../message";
import type { Node, Piece, Style } from "../piece";
import { freePlace, roomFor, shortSide, square, type Added, type Lead } from "./add";
import { freeNodeId, freeSlot } from "./layers";

/** One text of something ready-made. Its size is a share of the frame's short side, its height counted in lines. */
interface Part {
  slot: string;
  role: Node["role"];
  text: string;
  size: number;
  lines: number;
  style?: Style;
}

const line = (text: string): Part => ({
  slot: "support",
  role: "support",
  text,
  size: 0.036,
  lines: 2,
  style: { leading: 1.36 },
});

const DISPLAY = { type: "headline", leading: 0.98, colour: "headline" } as const;
const headline = (text: string, style: Style = {}, size = 0.1): Part => ({
  slot: "headline",
  role: "headline",
  text,
  size,
  lines: 2,
  style: { ...DISPLAY, ...style },
});

/** Words that belong together, in the brand's type and colours. Sizes and wording by eye, after work by hand. */
export const READY_MADE = {
  "headline-and-line": [
    headline("Say it in five words"),
    line("And here what it is about, in one line"),
  ],
  "two-colours": [headline("One word ~in colour~"), line("The rest in a line of text")],
  marked: [headline("Mark =what counts="), line("With a stroke of a broad pen")],
  outlined: [
    headline(
      "Only an outline",
      { outline: { colour: "headline", width: 0.025 }, colour: "backdrop", weight: 800 },
      0.12,
    ),
    line("Large, and light on the page"),
  ],
  "figure-and-line": [
    { ...headline("68 %", {}, 0.2), slot: "figure", role: "figure", lines: 1 },
    line("What this number says, and of what"),
  ],
  quotation: [
    {
      ...headline("Something that somebody said, in their own words.", { leading: 1.08 }, 0.064),
      slot: "quote",
      role: "quote",
      lines: 3,
    },
    { ...line("Who says it"), slot: "author", role: "byline", lines: 1, style: { weight: 600 } },
  ],
  "along-a-circle": [
    {
      ...headline("One line along an arch", { arc: 160, weight: 700 }, 0.09),
      slot: "kicker",
      role: "kicker",
      lines: 3,
    },
  ],
  label: [
    {
      slot: "kicker",
      role: "kicker",
      text: "New",
      size: 0.034,
      lines: 1,
      style: {
        colour: "on-action",
        weight: 700,
        plate: { colour: "action", padding: 0.5, corner: 0.3, per: "block" },
      },
    },
  ],
} as const satisfies Record<string, readonly Part[]>;
export type ReadyMade = keyof typeof READY_MADE;

/** Of the frame's sides, what words that belong together take at the most. By eye. */
const WIDEST = 0.62;
const HIGHEST = 0.4;
const LEADING = 1.2;
/** Between the texts, in sizes of the next one. */
const GAP = 0.6;

/**
 * The piece with ready-made words in its largest free place, one under the other. Where something rules already, what would
 * rule is said as a second, smaller headline.
 */
export function withReadyMade(piece: Piece, lead: Lead, kind: ReadyMade): Added {
  const parts: readonly Part[] = READY_MADE[kind];
  const unit = shortSide(piece);
  const place = freePlace(piece, lead, WIDEST, HIGHEST);
  const rules = piece.arrangement.some(
    ({ role, hidden }) => !hidden && RULING_SLOTS.includes(role),
  );
  const usual = parts.map((part) => rowOf(part, unit, rules));
  const heights = (of: typeof usual): number =>
    of.reduce((sum, { height, size }, at) => sum + height + (at ? GAP * size : 0), 0);
  // Smaller where there is less room, as far as it is still a headline.
  const fit = Math.max(SMALLEST, Math.min(1, place.height / heights(usual)));
  const rows = parts.map((part) => rowOf(part, fit * unit, rules));
  const total = heights(rows);
  const room = roomFor(piece, lead);
  let y = Math.max(room.y, Math.min(place.y, bottom(room) - total));
  const ids: string[] = [];
  const after = parts.reduce((done, part, at): Piece => {
    const { size, height, second } = rows[at]!;
    const slot = freeSlot(done, part.slot);
    const id = freeNodeId(done, slot);
    const width = part.style?.plate ? Math.min(place.width, 6 * size) : place.width;
    if (at > 0) y += GAP * size;
    ids.push(id);
    const node: Node = {
      id,
      kind: "text",
      role: second ? "support" : part.role,
      slot,
      box: box(place.x, y, width, height),
      style: { ...part.style, size },
    };
    y += height;
    return {
      ...done,
      message: { ...done.message, [slot]: { text: part.text } },
      arrangement: [...done.arrangement, node],
    };
  }, piece);
  return { piece: after, ids };
}

const SECOND = 0.6;
const SMALLEST = 0.6;

/** How large a text is, in lead pixels, and whether it is a second one that would rule. */
function rowOf({ role, size: share, lines, style }: Part, unit: number, rules: boolean) {
  const second = rules && RULING_SLOTS.includes(role);
  const size = (second ? SECOND : 1) * share * unit;
  const padding = 2 * (style?.plate?.padding ?? 0);
  return { second, size, height: (lines * (style?.leading ?? LEADING) + padding) * size };
}

/** A badge's diameter as a share of the frame's short side, where there is so much room; and its least. By eye. */
const BADGE = 0.26;
const LEAST_BADGE = 0.16;

/** The piece with a burst and words on it, which every size places by itself; undefined where there is a badge already. */
export function withBadge(piece: Piece, lead: Lead): Added | undefined {
  const { arrangement, message } = piece;
  const there = arrangement.filter(({ role }) => role === "badge");
  const unsaid = there.find(({ kind, slot }) => kind === "text" && slot && !(slot in message));
  // A template may keep a place for one.
  if (unsaid)
    return {
      piece: { ...piece, message: { ...message, [unsaid.slot!]: { text: "New" } } },
      ids: there.map(({ id }) => id),
    };
  if (there.some(({ kind }) => kind === "shape")) return undefined;
  const room = freePlace(piece, lead, 1, 1);
  const inRoom = Math.max(LEAST_BADGE * shortSide(piece), Math.min(room.width, room.height));
  const side = Math.min(BADGE * shortSide(piece), inRoom);
  const at = square(piece, lead, side);
  const plate = freeNodeId(piece, "badge");
  const slot = freeSlot(piece, "badge");
  const words = freeNodeId(
    { ...piece, arrangement: [...piece.arrangement, { id: plate } as Node] },
    slot,
  );
  const inner = box(at.x + 0.12 * side, at.y + 0.34 * side, 0.76 * side, 0.32 * side);
  return {
    piece: {
      ...piece,
      message: { ...piece.message, [slot]: { text: "New" } },
      arrangement: [
        ...piece.arrangement,
        {
          id: plate,
          kind: "shape",
          role: "badge",
          box: at,
          style: { shape: "burst", colour: "action" },
        },
        {
          id: words,
          kind: "text",
          role: "badge",
          slot,
          on: plate,
          box: inner,
          style: {
            type: "headline",
            colour: "on-action",
            size: 0.2 * side,
            align: "centre",
            valign: "middle",
          },
        },
      ],
    },
    ids: [plate, words],
  };
}
