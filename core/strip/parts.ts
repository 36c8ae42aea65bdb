import { area, intersect } from "../geometry";
import type { Node, Piece, Pin } from "../piece";
import type { Placement } from "../placements";
import { runningNode } from "./running";
import { slideName, slidesFor } from "./shown";
import { slideOf } from "./slide";

/** One graphic of a piece that goes to a placement: all of it, or one slide of a strip. */
export interface SlideFile {
  piece: Piece;
  /** Its place among all slides, from 0. */
  index: number;
  /** Which slide it is in the order in which they are seen, from 1; undefined for what is no strip there. */
  slide?: number;
  /** Which part it belongs to, from 1, where a strip goes out in several. */
  part?: number;
  /** How it is called in a file's name; empty where there is only one. */
  name: string;
}

/** The slides that go to a placement, in parts as even as can be, none longer than the channel shows. */
export function partsFor(piece: Piece, placement: Placement): number[][] {
  const slides = slidesFor(piece, placement);
  const count = Math.ceil(slides.length / (placement.slides?.max ?? Infinity)) || 1;
  return Array.from({ length: count }, (_, part) =>
    slides.slice(
      Math.round((part * slides.length) / count),
      Math.round(((part + 1) * slides.length) / count),
    ),
  );
}

/**
 * What goes to a placement, in order. `inParts`: a strip with more slides than the channel shows goes out in parts, each of
 * which says on its first slide which one it is; slides are numbered on.
 */
export function filesFor(piece: Piece, placement: Placement, inParts: boolean): SlideFile[] {
  const all = slidesFor(piece, placement);
  const parts = inParts ? partsFor(piece, placement) : [all];
  return parts.flatMap((slides, part) =>
    slides.map((index, within): SlideFile => {
      const slide = slideOf(piece, index);
      const at = all.indexOf(index);
      const isLast = within === slides.length - 1;
      const name = slideName(at, all.length);
      return {
        piece:
          parts.length > 1
            ? inPart(piece, slide, { part, count: parts.length, isFirst: within === 0, isLast })
            : slide,
        index,
        ...(all.length > 1 ? { slide: at + 1 } : {}),
        ...(parts.length > 1 ? { part: part + 1 } : {}),
        name: parts.length > 1 ? `${part + 1}-${name}` : name,
      };
    }),
  );
}

const CORNERS: readonly Pin[] = [
  { h: "right", v: "top" },
  { h: "left", v: "top" },
  { h: "right", v: "bottom" },
  { h: "left", v: "bottom" },
  { h: "centre", v: "top" },
];

/** A slide as it stands in its part: the first says which one that is, the last leads to nothing more. */
function inPart(
  strip: Piece,
  slide: Piece,
  at: { part: number; count: number; isFirst: boolean; isLast: boolean },
): Piece {
  const led = at.isLast ? withoutCue(strip, slide) : slide;
  return at.isFirst ? marked(strip, led, at.part, at.count) : led;
}

/** Nothing is swiped to at the end of a part, unless the cue is wanted on the last slide too. */
function withoutCue({ running = [] }: Piece, slide: Piece): Piece {
  const cue = running.find(({ kind }) => kind === "swipe-cue");
  if (!cue || cue.last) return slide;
  const { "running-swipe-cue": _cue, ...message } = slide.message;
  const arrangement = slide.arrangement.filter(({ id }) => id !== "running-swipe-cue");
  return { ...slide, message, arrangement };
}

/** A slide that says which part it begins, in the corner where it covers least. */
function marked(strip: Piece, slide: Piece, part: number, count: number): Piece {
  const isEnglish = /^en\b/.test(slide.language ?? "en");
  const text = `${part + 1}${isEnglish ? " of " : "/"}${count}`;
  const slot = "running-part";
  const there = slide.arrangement.filter(({ role }) => role !== "backdrop" && role !== "photo");
  const isTaken = ({ h, v }: Pin): boolean =>
    there.some(({ strip: of, pin }) => of === "running" && pin?.h === h && pin?.v === v);
  const covered = ({ box }: Node): number =>
    there.reduce((sum, one) => sum + area(intersect(one.box, box)), 0);
  const [first, ...others] = CORNERS.filter((pin) => !isTaken(pin)).flatMap((pin) => {
    const node = runningNode(strip, "page-mark", pin, slot);
    return node ? [{ ...node, id: slot }] : [];
  });
  if (!first) return slide;
  const best = others.reduce((a, b) => (covered(b) < covered(a) ? b : a), first);
  return {
    ...slide,
    message: { ...slide.message, [slot]: { text } },
    arrangement: [...slide.arrangement, best],
  };
}
