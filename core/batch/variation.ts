import type { Brand } from "../brand";
import type { Spread } from "../colour";
import type { Edit } from "../edit";
import { isPicture, type Filling, type Piece } from "../piece";
import type { Placement } from "../placements";
import { isStrip, slidesFor } from "../strip";
import { arrangedAs, inSet, inSpread, inTypefaces, type Template } from "../templates";
import { fillingAt, withFillings } from "./slots";

export type SlotValue = { text: string } | { picture: string };

/** What one variation changes in the piece: what is said and shown, by the ids of slots, and how it looks. */
export interface Variation {
  message: Record<string, SlotValue>;
  /** The id of the template whose arrangement it takes. */
  template?: string;
  /** Which of the ways of using the kit's typefaces. */
  typefaces?: string;
  spread?: Spread;
  /** What its words are in, as BCP 47. */
  language?: string;
  /** The only placements that it is made for. */
  sizes?: string[];
  /** What was changed of it by hand, from how it stands among the others. */
  edit?: Edit;
}

/** What the looks of variations are taken from. */
export interface Dressing {
  brand: Brand;
  templates: readonly Template[];
}

/**
 * The piece with the variation's words, pictures and looks in place of its own; not yet with what was changed by hand.
 * Variations are a set of their own; one that changes nothing is the piece.
 */
export function applyVariation(given: Piece, variation: Variation, dressing: Dressing): Piece {
  const { message: changed, spread, language } = variation;
  if (changesNothing(variation)) return given;
  const { siblings: _siblings, ...piece } = given;
  const fillings: Record<string, Filling> = {};
  for (const [slot, value] of Object.entries(changed)) {
    const own = fillingAt(piece, slot);
    // Another picture has another subject, so what is said of the piece's own does not apply to it.
    const samePicture = isPicture(own) && "picture" in value && own.picture === value.picture;
    fillings[slot] = samePicture ? own : value;
  }
  const said = {
    ...withFillings(piece, fillings),
    ...(language === undefined ? {} : { language }),
  };
  const arranged = inLookOf(said, variation, dressing);
  return spread ? inSpread(arranged, spread, dressing.brand) : arranged;
}

const changesNothing = ({ message, sizes: _sizes, edit: _edit, ...looks }: Variation): boolean =>
  Object.keys(message).length === 0 && Object.values(looks).every((look) => look === undefined);

/** What is gone meanwhile, a template or a face of the kit, changes nothing. */
function inLookOf(
  piece: Piece,
  { template, typefaces }: Variation,
  { brand, templates }: Dressing,
): Piece {
  const from = templates.find(({ id }) => id === template);
  const arrange = () => (isStrip(piece) ? inSet(piece, from!, brand) : arrangedAs(piece, from!));
  const arranged = from ? arrange() : piece;
  return typefaces === undefined ? arranged : inTypefaces(arranged, typefaces, brand);
}

/** Whether a variation is made for a placement. */
export const isFor = ({ sizes }: Variation, { id }: Pick<Placement, "id">): boolean =>
  sizes === undefined || sizes.includes(id);

/** The slides of a variation that go to a placement, in order; one of a piece that is no strip, none where it does not go. */
export function slidesOf(piece: Piece, variation: Variation, placement: Placement): number[] {
  if (!isFor(variation, placement)) return [];
  // Which slides are empty is a matter of words and pictures alone.
  return isStrip(piece) ? slidesFor(withFillings(piece, variation.message), placement) : [0];
}

/** How many files variations make on some placements. */
export const countFiles = (
  piece: Piece,
  variations: readonly Variation[],
  placements: readonly Placement[],
): number =>
  placements.reduce(
    (sum, placement) =>
      sum + variations.reduce((n, one) => n + slidesOf(piece, one, placement).length, 0),
    0,
  );
