import { box, intersect, right, bottom, type Box } from "../geometry";
import {
  composedFrame,
  placementOf,
  type Node,
  type Piece,
  type Running,
  type Role,
  type RunningKind,
  type Style,
} from "../piece";
import { keptArea, shippedPlacement } from "../placements";

/** Size of running words as a share of the frame's short side: 36 px at 1080, which a phone shows at 13. Common practice. */
const SIZE = 0.0334;
const LINE = 1.4;
/** What a running item may take of the width. */
const WIDTH = 0.5;

/** What each is called, and where it usually stands. */
export const RUNNING: Record<RunningKind, { name: string; usual: Omit<Running, "kind"> }> = {
  handle: { name: "Handle", usual: usual("left", "bottom") },
  // Who speaks; as common on the first slide as on all.
  portrait: { name: "Profile picture and name", usual: usual("left", "bottom") },
  site: { name: "Site", usual: usual("centre", "bottom", { first: false }) },
  logo: { name: "Logo", usual: usual("left", "top", { first: false }) },
  // What one does, or where more is to be found; common practice from the second slide on.
  line: {
    name: "Line of your own",
    usual: usual("centre", "bottom", { first: false, text: "The link is in the profile" }),
  },
  "page-mark": { name: "Page mark", usual: usual("right", "top", { first: false }) },
  "swipe-cue": {
    name: "Swipe cue",
    usual: usual("right", "bottom", { last: false, text: "Swipe →" }),
  },
};

/** A line of one's own signs a slide, as a byline does. */
const roleOf = (kind: RunningKind): Role => (kind === "line" ? "byline" : kind);

function usual(
  h: NonNullable<Running["pin"]["h"]>,
  v: NonNullable<Running["pin"]["v"]>,
  more: Partial<Running> = {},
): Omit<Running, "kind"> {
  return { pin: { h, v }, first: true, last: true, without: [], ...more };
}

/** Whether a slide has a running item; the first slide has none of those that begin on the second. */
function standsOn(
  { first, last, without }: Running,
  index: number,
  count: number,
  id: string,
): boolean {
  if (without.includes(id) || (index === 0 && !first)) return false;
  return index < count - 1 || last;
}

/** The running items of one slide, as nodes at their pins, with their words. */
export function runningNodes(
  strip: Piece,
  index: number,
): { nodes: Node[]; words: Piece["message"] } {
  const { running = [], slides = [] } = strip;
  const count = 1 + slides.length;
  const id = slides[index - 1]?.id ?? "first";
  const own = (slides[index - 1] ?? strip).arrangement;
  const room = roomOf(strip);
  const nodes: Node[] = [];
  const words: [string, { text: string }][] = [];
  for (const one of room ? running : []) {
    // A byline of the slide's own is no such line.
    const isThere =
      one.kind !== "line" && own.some(({ role, strip: of }) => role === roleOf(one.kind) && !of);
    if (isThere || !standsOn(one, index, count, id)) continue;
    if (one.form === "bar") {
      nodes.push(...barOf(strip, one, (index + 1) / count));
      continue;
    }
    const text = one.kind === "page-mark" ? markOf(one, index, count) : one.text;
    const slot = `running-${one.kind}`;
    nodes.push(nodeOf(one, room!, text === undefined ? undefined : slot));
    if (text !== undefined) words.push([slot, { text }]);
  }
  return { nodes, words: Object.fromEntries(words) };
}

/** More dots than these are no longer counted at a glance. By eye. */
const MOST_DOTS = 12;

const markOf = ({ form }: Running, index: number, count: number): string =>
  form === "dots" && count <= MOST_DOTS
    ? Array.from({ length: count }, (_, at) => (at === index ? "●" : "○")).join(" ")
    : `${index + 1}/${count}`;

/** Of the frame's height. By eye. */
const BAR = 0.008;

/**
 * A bar along the edge that the mark is at, as long as the strip has come, on a track of the ground's colour, which is seen where
 * a picture lies there; in shares of the frame, as what runs across folds.
 */
function barOf(strip: Piece, { kind, pin }: Running, share: number): Node[] {
  const { width, height } = composedFrame(strip)!;
  const y = pin.v === "top" ? 0 : (1 - BAR) * height;
  const along = (id: string, length: number, colour: string): Node => ({
    id: `running-${kind}${id}`,
    kind: "shape",
    role: "ornament",
    box: box(0, y, length * width, BAR * height),
    strip: "across",
    locked: true,
    style: { shape: "rectangle", colour },
  });
  return [along("-track", 1, "backdrop"), along("", share, "action")];
}

/** One more item at a corner of the room that all slides have, with its words in a slot; undefined where that is not known. */
export function runningNode(
  strip: Piece,
  kind: RunningKind,
  pin: Running["pin"],
  slot: string,
): Node | undefined {
  const room = roomOf(strip);
  return room && nodeOf({ kind, ...RUNNING[kind].usual, pin }, room, slot);
}

/** What every channel shows of the lead's frame, in lead pixels. */
function roomOf(strip: Piece): { room: Box; short: number } | undefined {
  const frame = composedFrame(strip);
  if (!frame) return undefined;
  const lead = placementOf(strip, strip.lead, shippedPlacement);
  const kept = lead ? intersect(keptArea(lead, "headline"), keptArea(lead, "logo")) : frame;
  return { room: kept, short: Math.min(frame.width, frame.height) };
}

const SET: Partial<Record<RunningKind, Style>> = { portrait: { gap: 0, leading: 1.25 } };

function nodeOf(
  { kind, pin }: Running,
  { room, short }: { room: Box; short: number },
  slot: string | undefined,
): Node {
  const size = SIZE * short;
  // A face stands before its name.
  const align = kind === "portrait" ? "start" : (pin.h ?? "left");
  const [width, height] = [WIDTH * room.width, LINE * size];
  const x = { left: room.x, centre: room.x + (room.width - width) / 2, right: right(room) - width };
  const y = {
    top: room.y,
    middle: room.y + (room.height - height) / 2,
    bottom: bottom(room) - height,
  };
  return {
    id: `running-${kind}`,
    kind: kind === "logo" ? "picture" : "text",
    role: roleOf(kind),
    ...(slot ? { slot } : {}),
    box: box(x[pin.h ?? "left"], y[pin.v ?? "bottom"], width, height),
    pin,
    keep: "always",
    strip: "running",
    locked: true,
    style: kind === "logo" ? {} : { size, ...SET[kind], align, colour: "support", type: "text" },
  };
}
