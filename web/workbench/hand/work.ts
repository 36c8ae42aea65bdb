import type { Piece } from "../../../core/piece";
import type { Placement } from "../../../core/placements";
import type { HandNode } from "./hand";

/** What is worked on by hand, as those need it who change it. */
export interface Work {
  /** The piece as it is worked on; undefined until it is ready. */
  base(): Piece | undefined;
  selected(): readonly string[];
  movable(): readonly HandNode[];
  /** Of which size a change is; undefined for one of the composition. */
  on(): string | undefined;
  /** How far a copy stands aside, in pixels. */
  aside(): number;
  /** Takes what has come into the composition, and selects it. */
  comes(made: { piece: Piece; ids: readonly string[] }): void;
  make(change: (piece: Piece, at: Placement) => Piece): void;
  select(ids: readonly string[]): void;
  tell(sentence: string): void;
}
