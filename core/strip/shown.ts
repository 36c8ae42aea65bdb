import { isPicture, isText, type Piece } from "../piece";
import type { Placement } from "../placements";
import { isStrip, slideCount } from "./slide";

/** Whether a slide says or shows anything of its own. */
function saysSomething(strip: Piece, index: number): boolean {
  const message = index === 0 ? strip.message : strip.slides![index - 1]!.message;
  return Object.values(message).some(
    (filling) => isPicture(filling) || (isText(filling) && filling.text.trim() !== ""),
  );
}

/** Placements that show a strip slide by slide; a story is shown as a row of them. */
const takesSlides = ({ slides, use }: Placement): boolean =>
  slides !== undefined || use === "story";

const alone = new WeakMap<Piece, Piece>();

/**
 * A slide as a placement shows it: where it stands alone there, without what runs through all slides or leads to the next, and
 * without words that would be cut off at a fold.
 */
export function shownAt(slide: Piece, placement: Placement): Piece {
  const running = slide.arrangement.filter(
    ({ id, strip, kind }) =>
      strip === "running" || (strip === "across" && (kind === "text" || id.startsWith("running-"))),
  );
  if (takesSlides(placement) || running.length === 0) return slide;
  let shown = alone.get(slide);
  if (!shown) {
    const arrangement = slide.arrangement.filter((node) => !running.includes(node));
    const said = Object.entries(slide.message);
    const own = said.filter(([slot]) => !running.some((node) => node.slot === slot));
    shown = { ...slide, arrangement, message: Object.fromEntries(own) };
    alone.set(slide, shown);
  }
  return shown;
}

/**
 * The slides of a piece that go to a placement, in order: all that say something where it shows a row of them, else the
 * first. A piece that is no strip is its own and only one.
 */
export function slidesFor(piece: Piece, placement: Placement): number[] {
  if (!isStrip(piece) || !takesSlides(placement)) return [0];
  const empty = new Set(emptySlides(piece));
  const all = Array.from({ length: slideCount(piece) }, (_, index) => index);
  return all.filter((index) => !empty.has(index));
}

/** Slides after the first that say and show nothing of their own, and are left out wherever a row is shown. */
export const emptySlides = (strip: Piece): number[] =>
  Array.from({ length: slideCount(strip) }, (_, index) => index).filter(
    (index) => index > 0 && !saysSomething(strip, index),
  );

/** How many slides a placement shows at the most, where a strip has more than that. */
export function tooManyFor(piece: Piece, placement: Placement): number | undefined {
  const most = placement.slides?.max;
  return most !== undefined && slidesFor(piece, placement).length > most ? most : undefined;
}

/** How a slide is called in a file's name, with zeros so that names sort in their order; empty where there is only one. */
export const slideName = (index: number, count: number): string =>
  count > 1 ? String(index + 1).padStart(Math.max(2, String(count).length), "0") : "";
