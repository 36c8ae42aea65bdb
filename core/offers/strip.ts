import type { Brand } from "../brand";
import type { Fitted } from "../engine";
import { isCounted } from "../message";
import { isPicture, type DesignSlide, type Piece } from "../piece";
import { isStripSlot, slideCount, slideOf, withSlide, wordsIn } from "../strip";
import { needsPictures, type Template } from "../templates";
import { costOf, costOfLength, groundOf } from "./costs";
import type { Offer } from "./offer";

/** By eye, in the layouts' own measure of cost. */
const MIX = 0.8;
/** A set whose title is a picture, or runs through one, and that has none. */
const HALF_EMPTY = 3;

/** Costs what a set has made of an outline: its slides as they are fitted to the lead, in order. */
export function offerStrip(
  template: Template,
  strip: Piece,
  slides: readonly Fitted[],
  brand: Brand,
): Offer {
  const costs = slides.map(({ layout, cost }) => costOf(layout, cost));
  const piece = slides.reduce((done, slide, at) => withSlide(done, at, slide.piece), strip);
  return {
    piece,
    cost: mean(costs) + against(template, strip),
    ground: groundOf(slides[0]!.layout, brand),
  };
}

/** A set is drawn for so many quotations, lists, figures and pictures, and for words of some length. */
function against(template: Template, strip: Piece): number {
  const { design } = template;
  const said = Array.from({ length: slideCount(strip) }, (_, at) => slideOf(strip, at).message);
  const drawn = design.slides ?? [];
  const [here, there] = [sharesOf(said.slice(1).map(saidIn)), sharesOf(drawn.map(placesIn))];
  const slots = new Set([...here.keys(), ...there.keys()]);
  const apart = [...slots].map((slot) => Math.abs((here.get(slot) ?? 0) - (there.get(slot) ?? 0)));
  const lengths = [said, [design, ...drawn].map(({ message }) => message)].map((messages) =>
    mean(messages.map(lengthOf)),
  );
  const shows = said.some((message) => Object.values(message).some(isPicture));
  const empty = needsPictures(template) && !shows ? HALF_EMPTY : 0;
  return (
    empty + MIX * apart.reduce((sum, one) => sum + one, 0) + costOfLength(lengths[0]!, lengths[1]!)
  );
}

/** What a slide says by slot; whether it shows something is one of them. */
function saidIn(message: Piece["message"]): string[] {
  const words = Object.keys(wordsIn(message)).filter((slot) => !isOfStrip(slot));
  const shows = Object.entries(message).some(([slot, one]) => isPicture(one) && !isOfStrip(slot));
  return shows ? [...words, PICTURE] : words;
}

function placesIn({ arrangement }: DesignSlide): string[] {
  const words = arrangement.flatMap(({ kind, slot }) =>
    kind === "text" && slot && !isOfStrip(slot) ? [slot] : [],
  );
  const shows = arrangement.some(({ kind, role }) => kind === "picture" && role !== "logo");
  return shows ? [...words, PICTURE] : words;
}

const PICTURE = "picture";
const isOfStrip = (slot: string): boolean => isStripSlot(slot) || isCounted(slot);

/** On which share of the slides each slot is. */
function sharesOf(slides: readonly string[][]): Map<string, number> {
  const shares = new Map<string, number>();
  for (const slots of slides)
    for (const slot of new Set(slots))
      shares.set(slot, (shares.get(slot) ?? 0) + 1 / slides.length);
  return shares;
}

const lengthOf = (message: Piece["message"]): number =>
  Object.entries(wordsIn(message)).reduce(
    (sum, [slot, text]) => sum + (isOfStrip(slot) ? 0 : text.length),
    0,
  );

const mean = (all: readonly number[]): number =>
  all.reduce((sum, one) => sum + one, 0) / Math.max(1, all.length);
