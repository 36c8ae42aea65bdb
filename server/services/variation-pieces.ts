import { applyVariation, type Variation } from "../../core/batch";
import { appliedWherePossible } from "../../core/edit";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import type { Composition } from "../../core/siblings";
import { shownAt, slideCount, slideOf, withSlide } from "../../core/strip";
import type { RenderPool } from "../render/pool";
import { Alike } from "./alike";
import type { BatchRow } from "./batch-runner";

/** The pieces that the variations of a batch are, and how they stand together. */
export class VariationPieces {
  private readonly alike: Alike | undefined;

  constructor(
    private readonly row: BatchRow,
    pool: Pick<RenderPool, "composition">,
  ) {
    this.alike = Alike.of(row, pool);
  }

  /** One as it is painted at a placement, or one of its slides: as its siblings stand, unless it was changed by hand. */
  async at(
    index: number,
    placement: Placement,
    slide = 0,
  ): Promise<{ piece: Piece; alike?: Composition }> {
    const variation = this.variation(index);
    const own = slideOf(await this.piece(index), slide);
    const piece = shownAt(this.alike?.besideSame(variation, own, slide) ?? own, placement);
    const siblings = variation.edit
      ? undefined
      : await this.alike?.composition(variation, piece, placement, slide);
    return { piece, ...(siblings ? { alike: siblings } : {}) };
  }

  async piece(index: number): Promise<Piece> {
    const variation = this.variation(index);
    return variation.edit
      ? appliedWherePossible(await this.base(variation), variation.edit)
      : applyVariation(this.row.document, variation, this.row);
  }

  /** What is changed by hand: one with its lead as it stands among its siblings. */
  async base(variation: Variation): Promise<Piece> {
    const { document, places } = this.row;
    const piece = applyVariation(document, variation, this.row);
    // Of a batch of before placements were kept it stands as the piece does; nor is the lead of every template among them.
    const place = places?.find(({ id }) => id === piece.lead);
    if (!place || !this.alike) return piece;
    let stood = piece;
    for (let at = 0; at < slideCount(piece); at++) {
      const slide = slideOf(piece, at);
      const siblings = await this.alike.composition(variation, slide, place, at);
      if (!siblings) continue;
      const { lead, frame, arrangement, sizes } = siblings;
      const own = { ...slide, lead, ...(frame ? { frame } : {}), arrangement, sizes };
      stood = withSlide(stood, at, own);
    }
    return stood;
  }

  private variation(index: number): Variation {
    return this.row.variations[index]!;
  }
}
