import type { Box } from "../../geometry";
import type { LayoutId } from "../../piece";
import type { Placed } from "../layout";
import type { Parts } from "../structure/parts";

/** A way to lay a size out before its pictures are cropped: where the words stand and what is left for media. */
export interface Draft {
  layoutId: LayoutId;
  parts: Parts;
  words: Placed[];
  media?: Box;
  /** Ground below the words that an ornament fills too. */
  mediaAlso?: Box;
  /** Where the brand's mark stands behind the words. */
  behind?: Box;
  /** The words stand on the picture, which fills the media area. */
  over?: boolean;
  /** The area of the words' own plate. */
  plate?: Box;
  /** The logo goes onto the picture, if a calm place is found there. */
  logoOnMedia?: boolean;
  /** How far this is from the lead's structure: 0 the same, 1 another. */
  change: number;
}
