import { freeId } from "../id";
import type { Piece, Slide } from "../piece";

/** The strip with a slide more, right behind another: empty, or as that one is. */
export function withNewSlide(strip: Piece, after: number, copied: boolean): Piece {
  const { slides = [] } = strip;
  const id = freeId("slide-2", new Set(slides.map((slide) => slide.id)), "slide");
  const from = slides[after - 1];
  const ground = strip.arrangement.filter(({ role }) => role === "backdrop");
  const empty: Slide = { id, message: {}, arrangement: ground, sizes: [] };
  const first: Slide = { ...empty, message: strip.message, arrangement: strip.arrangement };
  const made = copied ? { ...(from ?? first), id } : empty;
  return { ...strip, slides: slides.toSpliced(after, 0, made) };
}

/** The strip without a slide; the first is then the one that was second. A single slide stays. */
export function withoutSlide(strip: Piece, index: number): Piece {
  const { slides = [] } = strip;
  if (slides.length === 0) return strip;
  if (index > 0) return { ...strip, slides: slides.toSpliced(index - 1, 1) };
  return { ...asFirst(strip, slides[0]!), slides: slides.slice(1) };
}

/** The strip with a slide at another place. */
export function withSlideMoved(strip: Piece, from: number, to: number): Piece {
  const { slides = [] } = strip;
  const all = [firstOf(strip), ...slides];
  const moved = all[from];
  if (!moved || from === to || to < 0 || to >= all.length) return strip;
  const order = all.toSpliced(from, 1).toSpliced(to, 0, moved);
  const [first, ...rest] = order as [Slide, ...Slide[]];
  const taken = new Set(slides.map(({ id }) => id));
  // The first one is known by its place; it takes an id when it leaves that.
  const named = rest.map((slide) =>
    slide.id === "first" ? { ...slide, id: freeId("slide-2", taken, "slide") } : slide,
  );
  return { ...asFirst(strip, first), slides: named };
}

/**
 * The strip with the arrangement of one slide, its styles and colours on all others after the first; what they say stays. Where
 * another slide says other things, these find their places.
 */
export function withModel(strip: Piece, index: number): Piece {
  const model = strip.slides?.[index - 1];
  if (!model || !strip.slides) return strip;
  const { arrangement, spread } = model;
  return {
    ...strip,
    slides: strip.slides.map(({ spread: _spread, ...slide }) =>
      slide.id === model.id ? model : { ...slide, arrangement, ...(spread ? { spread } : {}) },
    ),
  };
}

function firstOf({ message, arrangement, sizes, shown, fine }: Piece): Slide {
  const own = sizes.map(({ own: _own, ...size }) => size);
  return {
    id: "first",
    message,
    arrangement,
    sizes: own,
    ...(shown ? { shown } : {}),
    ...(fine ? { fine } : {}),
  };
}

/** The strip with a slide at its beginning. */
function asFirst(strip: Piece, { message, arrangement, sizes, shown, fine }: Slide): Piece {
  const { shown: _shown, fine: _fine, ...rest } = strip;
  return {
    ...rest,
    message,
    arrangement,
    sizes: strip.sizes.map(({ placement, own }) => ({
      placement,
      changes: {},
      ...sizes.find((size) => size.placement === placement),
      ...(own ? { own } : {}),
    })),
    ...(shown ? { shown } : {}),
    ...(fine ? { fine } : {}),
  };
}
