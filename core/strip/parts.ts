import { area, intersect } from "../geometry";
import type { Node, Piece, Pin } from "../piece";
import type { Placement } from "../placements";
import { runningNode } from "./running";
import { slideName, slidesFor } from "./shown";
import { slideOf } from "./slide";

/** One graphic of a piece that goes to a placement: all of it, or one slide of a strip. */
export interface SlideFile {
  piece: Piece;
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
      const isMarked = parts.length > 1 && within === 0;
      const name = slideName(at, all.length);
      return {
        piece: isMarked ? marked(piece, slide, part, parts.length) : slide,
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

/** A slide that says which part it begins, in the corner where it covers least. */
function marked(strip: Piece, slide: Piece, part: number, count: number): Piece {
  const isEnglish = /^en\b/.test(slide.language ?? "en");
  const text = `${part + 1}${isEnglish ? " of " : "/"}${count}`;
  const slot = "running-part";
  const there = slide.arrangement.filter(({ role }) => role !== "backdrop" && role !== "photo");
  const covered = ({ box, pin }: Node): number =>
    there.reduce(
      (sum, one) =>
        sum +
        (one.strip === "running" && one.pin?.h === pin?.h && one.pin?.v === pin?.v ? 1e9 : 0) +
        area(intersect(one.box, box)),
      0,
    );
  const marks = CORNERS.flatMap((pin) => runningNode(strip, "page-mark", pin, slot) ?? []);
  const [first, ...others] = marks.map((node) => ({ ...node, id: slot }));
  if (!first) return slide;
  const best = others.reduce((a, b) => (covered(b) < covered(a) ? b : a), first);
  return {
    ...slide,
    message: { ...slide.message, [slot]: { text } },
    arrangement: [...slide.arrangement, best],
  };
}
