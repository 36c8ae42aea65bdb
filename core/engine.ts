import type { Brand } from "./brand";
import type { Piece } from "./piece";
import { placementById, type Placement } from "./placements";
import { refit, type Layout } from "./refit";
import { resolve, type Sources } from "./resolve";
import { compose, type Scene } from "./scene";

export interface Made {
  layout: Layout;
  scene: Scene;
}

/**
 * The whole way of a piece to what is painted: resolve → refit → scene. The same for the wall,
 * preflight, batches and deliveries. The brand's fonts must be in `sources.typesetter`.
 */
export function makeScene(
  piece: Piece,
  brand: Brand,
  placement: string | Placement,
  sources: Sources,
): Made {
  const target = typeof placement === "string" ? placementById(placement) : placement;
  const resolved = resolve(piece, brand, target.id, sources);
  const layout = refit(resolved, target);
  return { layout, scene: compose(layout) };
}
