import type { Brand } from "./brand";
import { isLocal, layoutKey, sameLayout, type LayoutId, type Piece } from "./piece";
import type { Placement } from "./placements";
import { breaksRule, choose, isAsArranged, isNothing, NOTHING_DECIDED } from "./choice";
import { inSuitedFrames, recomposed, type CostTerms, type Layout } from "./refit";
import { resolve, type ResolvedPiece, type Sources } from "./resolve";
import { compose, type Scene } from "./scene";
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
  return finishScene(resolved(piece, brand, placement, sources), placement);
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
    const shown = shownAt(piece, placement);
    const known = local.has(placement.id) ? undefined : shared.get(shown);
    const found = known ?? resolved(piece, brand, placement, sources);
    if (!local.has(placement.id)) shared.set(shown, found);
    return finishScene(found, placement);
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
  return recomposed(layout.resolved.piece, layout);
}

/** A piece whose lead is fitted to its words, with what is painted of it. */
export interface Fitted extends Made {
  piece: Piece;
  /** What its lead cost when it was laid out; nothing where it stands as it was composed. */
  cost: CostTerms;
}

/**
 * Fits a piece that was made from a template, whose lead was composed for other words: where these break a rule there,
 * the lead is laid out anew for them; pictures go to the frames that suit them.
 */
export function fitLead(
  given: Piece,
  brand: Brand,
  placement: Placement,
  sources: Sources,
): Fitted {
  const piece = inSuitedFrames(resolve(given, brand, placement.id, sources));
  const asComposed = resolve(piece, brand, placement.id, sources);
  const layout = choose(asComposed, placement, { decided: NOTHING_DECIDED });
  if (isAsArranged(layout)) return { piece, layout, scene: compose(layout), cost: layout.cost };
  const fitted = recomposed(asComposed.piece, layout);
  return { piece: fitted, cost: layout.cost, ...makeScene(fitted, brand, placement, sources) };
}

/** The piece alone, with its lead fitted. */
export const fittedPiece = (...about: Parameters<typeof fitLead>): Piece => fitLead(...about).piece;

/** A piece as the placement shows it, looked up. */
const resolved = (piece: Piece, brand: Brand, placement: Placement, sources: Sources) =>
  resolve(shownAt(piece, placement), brand, placement.id, sources);

function finishScene(piece: ResolvedPiece, placement: Placement): Made {
  const layout = choose(piece, placement);
  return { layout, scene: compose(layout) };
}
