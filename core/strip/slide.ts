import { COUNTED } from "../message";
import { isText, type Node, type Piece, type Size, type Slide } from "../piece";
import { same } from "../same";
import { partAcross } from "./across";
import { runningNodes } from "./running";

/** The first slide is the piece itself; the others are kept in it. */
export const slideCount = ({ slides = [] }: Piece): number => 1 + slides.length;

export const isStrip = ({ slides, kind }: Piece): boolean =>
  kind === "carousel" || (slides ?? []).length > 0;

/** What a slide is known by; the first one has no id of its own. */
export const FIRST_SLIDE = "first";
export const slideIds = ({ slides = [] }: Piece): string[] => [
  FIRST_SLIDE,
  ...slides.map(({ id }) => id),
];

/**
 * One slide as a piece of its own, which is laid out, checked and worked on as any other: with its own message and
 * arrangement, what runs through all slides and its part of what runs across folds.
 */
export function slideOf(strip: Piece, index: number): Piece {
  if (!isStrip(strip)) return strip;
  const { slides = [], running: _running, across = [], ...piece } = strip;
  const slide = slides[index - 1];
  const own: Piece = slide ? { ...piece, ...partsOf(strip, slide) } : piece;
  const parts = across.map((one) => partAcross(strip, one, index));
  const { nodes, words } = runningNodes(strip, index);
  const under = parts.flatMap(({ node }) => node ?? []);
  const grounds = own.arrangement.filter(({ role }) => role === "backdrop");
  const rest = own.arrangement.filter(({ role }) => role !== "backdrop");
  const hasLogo = nodes.some(({ role }) => role === "logo");
  // Only the first slide has the logo by itself.
  const without =
    index > 0 && !hasLogo
      ? { without: [...new Set([...(own.without ?? []), "logo" as const])] }
      : {};
  const pictures = parts.flatMap(({ filling }) => (filling ? [filling] : []));
  const number = numberOf(strip, index);
  const headlines = headlinesAlike(strip, index);
  return {
    ...own,
    ...without,
    ...(headlines.length > 0 ? { headlines } : {}),
    message: { ...own.message, ...words, ...number, ...Object.fromEntries(pictures) },
    arrangement: [...grounds, ...under, ...rest, ...nodes],
  };
}

/**
 * What the slides between the first and the last say as their headlines, for each after the first: a set is read as one where
 * these are equally large. Those that say nothing else have room for more, and do not count.
 */
function headlinesAlike({ slides = [] }: Piece, index: number): string[] {
  if (index === 0) return [];
  return slides
    .slice(0, -1)
    .flatMap(({ message }) =>
      isText(message.headline) && saysMore(message) ? [message.headline.text] : [],
    );
}

const saysMore = (message: Piece["message"]): boolean =>
  Object.entries(message).some(
    ([slot, filling]) => slot !== "headline" && (!isText(filling) || filling.text.trim() !== ""),
  );

/** The strip with each slide as it has become. */
export const withEachSlide = (strip: Piece, change: (slide: Piece) => Piece): Piece =>
  slideIds(strip).reduce(
    (done, _, index) => withSlide(done, index, change(slideOf(done, index))),
    strip,
  );

function partsOf(
  { sizes }: Piece,
  slide: Slide,
): Partial<Piece> & Pick<Piece, "message" | "arrangement" | "sizes"> {
  const { message, arrangement, spread, shown, fine } = slide;
  return {
    message,
    arrangement,
    sizes: sizes.map(({ placement, own }): Size => {
      const mine = slide.sizes.find((one) => one.placement === placement);
      return { placement, changes: {}, ...mine, ...(own ? { own } : {}) };
    }),
    ...(spread ? { spread } : {}),
    shown,
    fine,
  };
}

/** The number of a slide among those that are counted. */
function numberOf(strip: Piece, index: number): Piece["message"] {
  const all = [strip, ...(strip.slides ?? [])].map(({ arrangement }) => arrangement);
  return Object.fromEntries(
    Object.values(COUNTED).flatMap((slot) => {
      const counts = all.map((nodes) => nodes.some((node) => node.slot === slot));
      if (!counts[index]) return [];
      const from = slot === COUNTED.up ? counts.slice(0, index + 1) : counts.slice(index);
      return [[slot, { text: String(from.filter(Boolean).length) }]];
    }),
  );
}

/** Slots that only a strip has: what runs through its slides, and across its folds. */
export const isStripSlot = (slot: string): boolean => /^(?:running|across)-/.test(slot);

const isOfStrip = ({ strip }: Node): boolean => strip !== undefined;

/** The strip with one slide as it has become; what all slides share is changed for all. */
export function withSlide(strip: Piece, index: number, changed: Piece): Piece {
  if (!isStrip(strip)) return changed;
  const { headlines: _headlines, ...to } = changed;
  const message = Object.fromEntries(
    Object.entries(to.message).filter(([slot]) => !isStripSlot(slot)),
  ) as Piece["message"];
  const arrangement = to.arrangement.filter((node) => !isOfStrip(node));
  const { slides = [], running, across } = strip;
  const shared = { ...(running ? { running } : {}), ...(across ? { across } : {}) };
  const slide = slides[index - 1];
  if (!slide)
    return { ...to, message, arrangement, ...(strip.slides ? { slides } : {}), ...shared };
  const sizes = to.sizes.map(({ own: _own, ...size }) => size);
  const { spread: _spread, shown: _shown, fine: _fine, ...rest } = slide;
  const next: Slide = {
    ...rest,
    message,
    arrangement,
    sizes: sizes.filter(
      ({ layout, changes }) => layout !== undefined || Object.keys(changes).length > 0,
    ),
    ...(slide.spread || !same(to.spread, strip.spread) ? { spread: to.spread } : {}),
    ...(to.shown ? { shown: to.shown } : {}),
    ...(to.fine ? { fine: to.fine } : {}),
  };
  const before = new Map(strip.sizes.map((size) => [size.placement, size]));
  const { shown: _own, fine: _ownFine, without: _without, ...common } = to;
  return {
    ...common,
    ...(strip.without ? { without: strip.without } : {}),
    ...(strip.shown ? { shown: strip.shown } : {}),
    ...(strip.fine ? { fine: strip.fine } : {}),
    message: strip.message,
    arrangement: strip.arrangement,
    spread: strip.spread,
    sizes: to.sizes.map(
      ({ placement, own }) =>
        before.get(placement) ?? { placement, changes: {}, ...(own ? { own } : {}) },
    ),
    slides: slides.with(index - 1, next),
    ...shared,
  };
}
