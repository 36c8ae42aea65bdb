import { area, box, intersect } from "../geometry";
import { freeId } from "../id";
import { isFact, slotHints } from "../message";
import { Across, composedFrame, isPicture, isText, type Node, type Piece } from "../piece";
import { partAcross } from "./across";
import { slideCount, slideOf, withSlide } from "./slide";

/** How much of something hangs over the next slide when it does not hang over yet. */
const HANGS = 1 / 3;

const isAcrossKind = (kind: Node["kind"]): kind is Across["kind"] =>
  Across.shape.kind.safeParse(kind).success;

/**
 * Whether something on a slide can hang over its fold: what is drawn, shown or said by it alone. Facts stay on their slide,
 * since what hangs over a fold is not shown where a slide stands alone.
 */
export const canHang = ({ kind, role, strip, part, slot = "" }: Node): boolean =>
  isAcrossKind(kind) && !strip && !part && !isFact(slot) && role !== "backdrop" && role !== "logo";

/**
 * The strip with a node of one slide running on over the fold: it stays where it stands, and where it does not hang over yet,
 * goes so far that a third of it does. What it says or shows goes with it.
 */
export function withHung(strip: Piece, index: number, id: string): Piece {
  const slide = slideOf(strip, index);
  const node = slide.arrangement.find((one) => one.id === id);
  const frame = composedFrame(strip);
  if (!node || !frame || !canHang(node) || !isAcrossKind(node.kind)) return strip;
  const { box: own, kind, slot, style } = node;
  const filling = slot === undefined ? undefined : slide.message[slot];
  const isOver = own.x < 0 || own.x + own.width > frame.width;
  const x = isOver ? own.x : frame.width - (1 - HANGS) * own.width;
  const across = strip.across ?? [];
  const hung: Across = {
    id: freeId(`${kind}-1`, new Set(across.map((one) => one.id)), kind),
    kind,
    ...(isPicture(filling) ? { picture: filling.picture } : {}),
    ...(isPicture(filling) && filling.alt ? { alt: filling.alt } : {}),
    ...(isText(filling) ? { text: filling.text, role: node.role } : {}),
    at: {
      // Words begin on the strip: before it there is nothing to read them on.
      x: isText(filling) ? Math.max(0, index + x / frame.width) : index + x / frame.width,
      y: own.y / frame.height,
      width: own.width / frame.width,
      height: own.height / frame.height,
    },
    style,
  };
  return { ...withSlide(strip, index, withoutNode(slide, node)), across: [...across, hung] };
}

/** A slide without a node, and without what only that said or showed. */
function withoutNode(slide: Piece, { id, slot }: Node): Piece {
  const arrangement = slide.arrangement.filter((one) => one.id !== id);
  const isShown = arrangement.some((one) => one.slot === slot);
  const message = Object.entries(slide.message).filter(([name]) => isShown || name !== slot);
  const sizes = slide.sizes.map(({ changes: { [id]: _its, ...changes }, ...size }) => ({
    ...size,
    changes,
  }));
  return { ...slide, arrangement, message: Object.fromEntries(message) as Piece["message"], sizes };
}

/** Shares of the height that are tried for a free band. */
const STEP = 0.02;
const EDGE = 0.06;

/** Where down the frame, as a share of its height, a band of such a height covers least of what stands on some slides. */
export function freeBand(strip: Piece, slides: readonly number[], height: number): number {
  const frame = composedFrame(strip);
  if (!frame) return EDGE;
  const boxes = slides
    .flatMap((index) => slideOf(strip, index).arrangement)
    .filter(({ role, hidden }) => role !== "backdrop" && !hidden)
    .map(({ box }) => box);
  const covered = (y: number): number => {
    const band = box(0, y * frame.height, frame.width, height * frame.height);
    return boxes.reduce((sum, one) => sum + area(intersect(one, band)), 0);
  };
  const tries = Array.from(
    { length: Math.max(1, Math.floor((1 - height - 2 * EDGE) / STEP)) },
    (_, at) => EDGE + at * STEP,
  );
  return tries.reduce((best, y) => (covered(y) < covered(best) ? y : best));
}

/** The slot that words of a role usually stand in. */
const usualSlot = (role: Across["role"]): string =>
  Object.entries(slotHints).find(([, hint]) => hint.role === role)?.[0] ?? "words";

/** The strip with what ran across folds on one slide alone, the one that has most of it, within its frame. */
export function withTakenIn(strip: Piece, id: string): Piece {
  const across = strip.across ?? [];
  const one = across.find((each) => each.id === id);
  const frame = composedFrame(strip);
  if (!one || !frame) return strip;
  const middle = Math.floor(one.at.x + one.at.width / 2);
  const index = Math.min(slideCount(strip) - 1, Math.max(0, middle));
  const { node, filling } = partAcross(strip, one, index);
  if (!node) return strip;
  const rest = { ...strip, across: across.filter((each) => each !== one) };
  const slide = slideOf(rest, index);
  const wish = one.kind === "text" ? usualSlot(one.role) : "picture";
  const slot = filling && freeId(wish, new Set(Object.keys(slide.message)));
  const { strip: _across, locked: _locked, slot: _slot, box: before, ...own } = node;
  const width = Math.min(before.width, frame.width);
  const taken: Node = {
    ...own,
    id: freeId(one.id, new Set(slide.arrangement.map((each) => each.id))),
    box: { ...before, width, x: Math.min(frame.width - width, Math.max(0, before.x)) },
    ...(slot ? { slot } : {}),
  };
  return withSlide(rest, index, {
    ...slide,
    message: filling && slot ? { ...slide.message, [slot]: filling[1] } : slide.message,
    arrangement: [...slide.arrangement, taken],
  });
}
