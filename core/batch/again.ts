import type { Brand } from "../brand";
import { appliedWherePossible, editTo } from "../edit";
import type { Filling, Piece } from "../piece";
import type { Placement } from "../placements";
import { same } from "../same";
import type { Template } from "../templates";
import { batchSlots, fillingAt, withFillings } from "./slots";
import { isFor, type SlotValue, type Variation } from "./variation";

/** What the files of a batch come of; `places` may be more than it is made for, or fewer where they were not kept. */
export interface Made {
  document: Piece;
  brand: Brand;
  places: readonly Placement[];
  variations: readonly Variation[];
  /** What arranges those that are not arranged as the piece is. */
  templates: readonly Template[];
}

export interface MadeFile {
  variation: number;
  placement: string;
}

/**
 * A variation as a person has left it: `base` is the piece that it was when it was opened, `own` what it has become. Words and
 * pictures that vary are its values from now on; everything else is an edit, which holds on whatever the batch becomes.
 */
export function changedByHand(variation: Variation, base: Piece, own: Piece): Variation {
  const message = { ...variation.message };
  const values: Record<string, Filling> = {};
  for (const slot of Object.keys(message)) {
    const [before, after] = [fillingAt(base, slot), fillingAt(own, slot)];
    if (!before || !after || same(valueOf(before), valueOf(after))) continue;
    message[slot] = valueOf(after);
    values[slot] = { ...before, ...valueOf(after) };
  }
  const valued = withFillings(base, values);
  // Title and brand are the batch's.
  const left = { ...own, title: base.title, brand: base.brand };
  const { edit: before, ...rest } = variation;
  const isAsBefore = before && !editTo(appliedWherePossible(valued, before), left);
  const edit = isAsBefore ? before : editTo(valued, left);
  return { ...rest, message, ...(edit ? { edit } : {}) };
}

const valueOf = (filling: Filling): SlotValue =>
  "text" in filling ? { text: filling.text } : { picture: filling.picture };

/** The files on some placements that would come out otherwise if they were made anew. */
export function outdatedFiles(before: Made, now: Made, placements: readonly string[]): MadeFile[] {
  const isOtherBrand = !same(before.brand, now.brand);
  const changed = now.variations.map((one, at) => {
    const then = before.variations[at];
    return one !== then && !same(one, then);
  });
  const isMoved = (placement: string): boolean => {
    const [then, place] = [before, now].map(({ places }) =>
      places.find(({ id }) => id === placement),
    );
    return then !== undefined && !same(then, place);
  };
  return placements.flatMap((placement) => {
    const isElsewhere = isOtherBrand || isMoved(placement);
    const [isOther, isOtherInIts] = [false, true].map(
      (arranged) =>
        isElsewhere || !same(seenAt(before, placement, arranged), seenAt(now, placement, arranged)),
    );
    return now.variations.flatMap((one, variation) => {
      const isOutdated =
        (one.template === undefined ? isOther : isOtherInIts) || changed[variation];
      return isOutdated && isFor(one, { id: placement }) ? [{ variation, placement }] : [];
    });
  });
}

/**
 * What of a piece is seen on one of its sizes, where every variation has its own words and colours; `arranged`: where it is
 * arranged as a template has it.
 */
function seenAt({ document, variations }: Made, placement: string, arranged: boolean): unknown {
  const {
    id: _id,
    title: _title,
    origin: _origin,
    fine: _fine,
    shown: _shown,
    arrangement,
    frame,
    lead,
    ...piece
  } = document;
  const said = batchSlots(document).flatMap(({ id, filling }) =>
    variations.every(hasWords(id)) ? [] : [[id, paintedOf(filling)]],
  );
  const isSeen = (size: { placement: string }): boolean =>
    size.placement === placement || size.placement === lead;
  const slides = piece.slides?.map(
    ({ fine: _its, shown: _so, message: _words, arrangement: own, sizes, ...slide }) => ({
      ...slide,
      ...(arranged ? {} : { arrangement: own }),
      sizes: sizes.filter(isSeen),
    }),
  );
  const spread = variations.every((one) => one.spread) ? {} : piece.spread;
  const stands = arranged ? {} : { arrangement, frame, lead };
  return { ...piece, ...stands, message: said, slides, sizes: piece.sizes.filter(isSeen), spread };
}

const paintedOf = ({ varies: _varies, ...filling }: Filling): unknown =>
  "text" in filling ? filling.text : { picture: filling.picture, areas: filling.areas };

/** Of a picture that varies, the piece's own filling says how it is shown where it is the same one. */
const hasWords =
  (slot: string) =>
  ({ message }: Variation): boolean => {
    const value = message[slot];
    return value !== undefined && "text" in value;
  };
