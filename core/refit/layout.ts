import type { Hex } from "../colour";
import type { Box, Point } from "../geometry";
import type { AbsentReason, LogoVersion, ResolvedNode, ResolvedPiece } from "../resolve";
import type { LayoutId } from "../piece";
import type { Placement } from "../placements";
import type { SetText } from "../type";

/**
 * A colour over a part of a picture: at full strength on `solid`, fading out beyond it over `fade` pixels on
 * the sides that do not touch the picture's edge.
 */
export interface Scrim {
  hex: Hex;
  /** 0..1 */
  alpha: number;
  solid: Box;
  side: "top" | "bottom" | "left" | "right" | "all";
  fade: number;
}

/** A version of a logo as it is shown: in its own colours, filled with one colour, or on a small plate. */
export interface ShownLogo extends LogoVersion {
  tint?: Hex;
  plate?: Hex;
}

/** One line along a circle: its middle in output pixels, the radius of the baseline, and on which side the letters stand. */
export interface Bent {
  about: Point;
  radius: number;
  inside: boolean;
}

/** A node where it stands on one size. All lengths in output pixels at scale 1. */
export interface Placed {
  node: ResolvedNode;
  /** The node's outer edge: the plate of a button, the ink of plain text, the frame of a picture. */
  box: Box;
  /** The set text and the box that its ink fills. */
  text?: { set: SetText; ink: Box; bent?: Bent };
  /** A second area of the same ornament, beyond the words. */
  also?: Box;
  /** What a picture shows, in picture pixels. Where it reaches beyond the picture, `ground` is seen. */
  crop?: Box;
  ground?: Hex;
  logo?: ShownLogo;
  /** Laid over a picture so that words on it can be read. */
  scrim?: Scrim;
  /** Degrees clockwise about `about`, which is the box's centre when not given. */
  turn: number;
  about?: Point;
}

export type LeftOutReason = "no-room" | "not-for-this-shape" | AbsentReason;

export interface LeftOut {
  id: string;
  why: LeftOutReason;
}

/** Named terms of a layout's cost; each is 0 when nothing is to be said against it. */
export interface CostTerms {
  leftOut: number;
  dominance: number;
  jump: number;
  media: number;
  subject: number;
  /** A picture that shows less than it could, so that its subject is whole. */
  picture: number;
  /** Words on a busy part of a picture. */
  busy: number;
  empty: number;
  lines: number;
  change: number;
  badge: number;
  text: number;
}

export interface Layout {
  resolved: ResolvedPiece;
  placement: Placement;
  /** Output pixels for each lead pixel: the geometric means of the two frames. */
  leadScale: number;
  safe: Box;
  /** Legibility floor in output pixels. */
  floor: number;
  /** Back to front. */
  placed: Placed[];
  leftOut: LeftOut[];
  layoutId: LayoutId;
  cost: CostTerms;
  /** Of a piece of a set: it stands as the set does, or apart from it, where it has no room. */
  set?: "stands" | "apart";
}
