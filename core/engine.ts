import type { Brand } from "./brand";
import { isLocal, layoutKey, sameLayout, type LayoutId, type Piece } from "./piece";
import type { Placement } from "./placements";
import { breaksRule, choose, isNothing } from "./choice";
import { layOutLead, type FittedLead } from "./lay-out";
import { recomposed, type Layout } from "./refit";
import { resolve, type ResolvedPiece, type Sources } from "./resolve";
import { compose, type Scene } from "./scene";
import { layoutInSet, standsInSet } from "./siblings";
import { shownAt } from "./strip";

export interface Made {
  layout: Layout;
  scene: Scene;
}

/**
 * The whole way of a piece to what is painted: resolve → refit → rules → scene. The same for the wall,
 * preflight, batches and deliveries. The brand's fonts must be in `sources.typesetter`.
 */
export function makeScene(
  piece: Piece,
  brand: Brand,
  placement: Placement,
  sources: Sources,
): Made {
  const alone = () => resolved(piece, brand, placement, sources);
  return finished(standing(piece, brand, placement, sources, alone));
}

/** As `makeScene` for many placements; what they share is looked up once. */
export function makeScenes(
  piece: Piece,
  brand: Brand,
  placements: readonly Placement[],
  sources: Sources,
): Made[] {
  const shared = new Map<Piece, ResolvedPiece>();
  const local = new Set(piece.sizes.filter(isLocal).map((size) => size.placement));
  return placements.map((placement) => {
    const alone = (): ResolvedPiece => {
      const shown = shownAt(piece, placement);
      const known = local.has(placement.id) ? undefined : shared.get(shown);
      const found = known ?? resolved(piece, brand, placement, sources);
      if (!local.has(placement.id)) shared.set(shown, found);
      return found;
    };
    return finished(standing(piece, brand, placement, sources, alone));
  });
}

const MOST_ALTERNATIVES = 3;

/**
 * The best layouts of one size, the best first, at most three and no two of one kind where there are others.
 * One that breaks a rule is not offered while there is one that breaks none.
 */
export function alternatives(
  piece: Piece,
  brand: Brand,
  placement: Placement,
  sources: Sources,
): Layout[] {
  const sizes = piece.sizes.map(({ layout: _picked, ...size }) => size);
  const unpicked = resolved({ ...piece, sizes }, brand, placement, sources);
  const found: Layout[] = [];
  for (const sort of [({ kind }: LayoutId) => kind, layoutKey]) {
    while (found.length < MOST_ALTERNATIVES) {
      const taken = new Set(found.map(({ layoutId }) => sort(layoutId)));
      const next = choose(unpicked, placement, { only: (id) => !taken.has(sort(id)) });
      if (isNothing(next) || found.some((one) => sameLayout(one.layoutId, next.layoutId))) break;
      found.push(next);
    }
  }
  const whole = found.filter((layout) => !breaksRule(layout));
  return whole.length > 0 ? whole : found.slice(0, 1);
}

/** The piece with another size as its lead, composed as that size looks now. */
export function withLead(
  piece: Piece,
  brand: Brand,
  placement: Placement,
  sources: Sources,
): Piece {
  const { layout } = makeScene(piece, brand, placement, sources);
  const { lines: _lines, ...led } = recomposed(layout.resolved.piece, layout);
  const { siblings } = piece;
  return siblings ? { ...led, siblings: { ...siblings, composed: true } } : led;
}

/** A piece whose lead is fitted to its words, with what is painted of it. */
export interface Fitted extends FittedLead, Made {}

/** Fits a piece that was made from a template; see `layOutLead`. */
export function fitLead(...about: Parameters<typeof layOutLead>): Fitted {
  const fitted = layOutLead(...about);
  return { ...fitted, scene: compose(fitted.layout) };
}

/** The piece alone, with its lead fitted. */
export const fittedPiece = (...about: Parameters<typeof layOutLead>): Piece =>
  layOutLead(...about).piece;

/** A piece as the placement shows it, looked up. */
const resolved = (piece: Piece, brand: Brand, placement: Placement, sources: Sources) =>
  resolve(shownAt(piece, placement), brand, placement.id, sources);

/** As the piece's set stands where it is in one and can; else by itself. */
function standing(
  piece: Piece,
  brand: Brand,
  placement: Placement,
  sources: Sources,
  alone: () => ResolvedPiece,
): Layout {
  if (!standsInSet(piece, placement)) return choose(alone(), placement);
  return (
    layoutInSet(piece, brand, placement, sources) ?? { ...choose(alone(), placement), set: "apart" }
  );
}

const finished = (layout: Layout): Made => ({ layout, scene: compose(layout) });
