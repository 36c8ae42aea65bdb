import { area, bottom, intersect, right, type Box } from "../geometry";
import {
  cssPerPixel,
  frameOf,
  keptArea,
  legibilityFloor,
  placementById,
  safeArea,
  type Placement,
} from "../placements";
import type { ResolvedPiece } from "../resolve";

/** One placement to lay out for, with the lengths that everything on it is measured by, in output pixels. */
export class Stage {
  readonly frame: Box;
  readonly safe: Box;
  /** Where headline and logo survive every crop. Text stands here too, so that edges stay shared. */
  readonly kept: Box;
  /** Where a badge may stand. */
  readonly badgeArea: Box;
  readonly floor: number;
  /** Geometric mean of the sides: how large the frame is, whatever its shape. */
  readonly extent: number;
  /** The size of running text, from which gaps are taken (½, 1, 2 and 4 times). */
  readonly unit: number;
  readonly css: number;
  /** The frame that the piece was composed for. */
  readonly lead: Box;
  /** Output pixels for each lead pixel: the geometric means of the two frames. */
  readonly leadScale: number;

  constructor(
    readonly resolved: ResolvedPiece,
    readonly placement: Placement,
  ) {
    this.frame = frameOf(placement);
    this.safe = safeArea(placement);
    const kept = intersect(keptArea(placement, "headline"), keptArea(placement, "logo"));
    this.kept = area(kept) > 0 ? kept : this.safe;
    this.badgeArea = intersect(keptArea(placement, "badge"), keptArea(placement, "price"));
    this.floor = legibilityFloor(placement);
    this.extent = Math.sqrt(area(this.frame));
    this.css = cssPerPixel(placement);
    const { lead } = resolved.piece;
    this.lead = frameOf(lead === placement.id ? placement : placementById(lead));
    this.leadScale = this.extent / Math.sqrt(area(this.lead));
    // Text grows slower than the frame: a poster is read from further away, a banner from near.
    this.unit = Math.max(1.04 * this.floor, 0.022 * this.extent + 5);
  }

  /** Width over height of the part that can be used. */
  get ratio(): number {
    return this.kept.width / this.kept.height;
  }

  /** Between a picture's edge and words: two units, but no more than a little over the margin. */
  get padding(): number {
    return Math.min(2 * this.unit, Math.max(1.3 * this.placement.margin, this.unit));
  }

  /** The margins that the words keep on the right, seen from the frame. */
  get rightEdge(): number {
    return right(this.kept);
  }

  get bottomEdge(): number {
    return bottom(this.kept);
  }
}
