import type { Brand } from "../brand";
import { makeScene, type Fitted } from "../engine";
import { isPicture, isText, type Piece } from "../piece";
import { shippedPlacement, type Placement, type PlacementLookup } from "../placements";
import type { Layout } from "../refit";
import type { Sources } from "../resolve";
import { formatOf, pictureSlots, type Template } from "../templates";
import { costOf, costOfLength, groundOf } from "./costs";

/** What a template makes of a message: the piece as it would begin, and how well that comes out. */
export interface Offer {
  piece: Piece;
  /** Lower is better; the layouts' own costs with what is said against the template itself. */
  cost: number;
  /** What the lead stands on: a picture, or one of the brand's grounds by its id. */
  ground: string;
}

/** The other shape that a design is tried in, since most pieces go there too. */
const ALSO = "story";
/** By eye, in the layouts' own measure of cost. */
const REASON_MISSING = 0.9;
const REASON_GIVEN = 0.6;
const NOT_FOR_IT = 0.5;
const FRAME_EMPTY = 0.35;
const UNSHOWN = 0.5;
/** Drawn for one kind of place, such as an ad, a cover or a carousel's first slide. */
const SPECIAL = 0.7;
const USUAL_FORMATS: ReadonlySet<string> = new Set(["post", "story", "pin"]);

/** Slots that a template is made for: an event without a price should not begin with a price tag. */
const MAKES_IT: ReadonlySet<string> = new Set([
  "price",
  "figure",
  "list",
  "quote",
  "step-1",
  "number-1",
  "left-1",
  "day-1",
]);

/**
 * Costs what has come of a template: its fitted lead, and a story, with all words of the message in them.
 * The fonts and pictures that it needs are in `sources`.
 */
export function offer(
  template: Template,
  { piece, layout, cost }: Fitted,
  brand: Brand,
  sources: Sources,
  lookup: PlacementLookup = shippedPlacement,
): Offer {
  const story = piece.lead === ALSO ? undefined : lookup(ALSO);
  const costs = [
    costOf(layout, cost),
    ...(story ? [costOf(laidOut(piece, brand, story, sources))] : []),
  ];
  const mean = costs.reduce((sum, one) => sum + one, 0) / costs.length;
  return { piece, cost: mean + against(template, piece), ground: groundOf(layout, brand) };
}

const laidOut = (piece: Piece, brand: Brand, placement: Placement, sources: Sources): Layout =>
  makeScene(piece, brand, placement, sources).layout;

/** What speaks against a template whatever its layout: made for words or pictures that are not there, or for far fewer words. */
function against(template: Template, { message }: Piece): number {
  const { design } = template;
  let sum = USUAL_FORMATS.has(formatOf(template)) ? 0 : SPECIAL;
  for (const [slot, sample] of Object.entries(design.message)) {
    const filling = message[slot];
    const said = isText(filling) ? filling.text.trim() : "";
    if (MAKES_IT.has(slot)) sum += said ? -REASON_GIVEN : REASON_MISSING;
    if (said && isText(sample)) sum += costOfLength(said.length, sample.text.length);
  }
  const homeless = Object.keys(message).filter(
    (slot) => MAKES_IT.has(slot) && !Object.hasOwn(design.message, slot),
  );
  sum += NOT_FOR_IT * homeless.length;
  const frames = new Set(pictureSlots({ design }));
  const pictures = Object.keys(message).filter((slot) => isPicture(message[slot]));
  sum += UNSHOWN * pictures.filter((slot) => !frames.has(slot)).length;
  return sum + FRAME_EMPTY * [...frames].filter((slot) => !(slot in message)).length;
}
