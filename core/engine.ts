import type { Brand } from "./brand";
import type { Piece } from "./piece";
import { placementById, type Placement } from "./placements";
import { check } from "./preflight";
import { AS_ARRANGED, refit, type Layout } from "./refit";
import { resolve, type ResolvedPiece, type Sources } from "./resolve";
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
  return finishScene(resolve(piece, brand, target.id, sources), target);
}

/** As `makeScene` for many placements; what they share is looked up once. */
export function makeScenes(
  piece: Piece,
  brand: Brand,
  placements: readonly (string | Placement)[],
  sources: Sources,
): Made[] {
  let shared: ResolvedPiece | undefined;
  return placements.map((placement) => {
    const target = typeof placement === "string" ? placementById(placement) : placement;
    const { id } = target;
    const resolved = hasChanges(piece, id)
      ? resolve(piece, brand, id, sources)
      : (shared ??= resolve(piece, brand, id, sources));
    return finishScene(resolved, target);
  });
}

const hasChanges = (piece: Piece, placement: string): boolean =>
  piece.sizes.some((size) => size.placement === placement && Object.keys(size.changes).length > 0);

function finishScene(resolved: ResolvedPiece, placement: Placement): Made {
  const layout = laidOut(resolved, withHouseMargin(placement, resolved.brand));
  return { layout, scene: compose(layout) };
}

/**
 * On another placement of the lead's shape the arrangement is kept only if it breaks no rule there. The lead
 * itself stays as a person composed it, and preflight says what is to be said.
 */
function laidOut(resolved: ResolvedPiece, placement: Placement): Layout {
  const layout = refit(resolved, placement);
  const kept = layout.via === AS_ARRANGED && placement.id !== resolved.piece.lead;
  const broken = kept && check(layout).some(({ level }) => level === "must-fix");
  return broken ? refit(resolved, placement, { anew: true }) : layout;
}

/** A house margin that is too wide for a small frame is held at this share of its short side. */
const WIDEST_MARGIN = 0.2;

/** The placement with the brand's own, wider margins. */
function withHouseMargin(placement: Placement, { defaults }: Brand): Placement {
  if (defaults.marginScale === 1) return placement;
  const most = WIDEST_MARGIN * Math.min(placement.width, placement.height);
  const wider = Math.min(placement.margin * defaults.marginScale, most);
  return { ...placement, margin: Math.max(placement.margin, Math.round(wider)) };
}
