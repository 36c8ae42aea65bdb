import type { Brand } from "./brand";
import { isLocal, layoutKey, sameLayout, type LayoutId, type Piece } from "./piece";
import type { Placement } from "./placements";
import { check } from "./preflight";
import {
  inSuitedFrames,
  recomposed,
  refit,
  type CostTerms,
  type Layout,
  type RefitOptions,
} from "./refit";
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
  placement: Placement,
  sources: Sources,
): Made {
  return finishScene(resolve(piece, brand, placement.id, sources), placement);
}

/** As `makeScene` for many placements; what they share is looked up once. */
export function makeScenes(
  piece: Piece,
  brand: Brand,
  placements: readonly Placement[],
  sources: Sources,
): Made[] {
  let shared: ResolvedPiece | undefined;
  const local = new Set(piece.sizes.filter(isLocal).map((size) => size.placement));
  return placements.map((placement) => {
    const resolved = local.has(placement.id)
      ? resolve(piece, brand, placement.id, sources)
      : (shared ??= resolve(piece, brand, placement.id, sources));
    return finishScene(resolved, placement);
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
  const resolved = resolve({ ...piece, sizes }, brand, placement.id, sources);
  const target = withHouseMargin(placement, brand);
  const found: Layout[] = [];
  for (const sort of [({ kind }: LayoutId) => kind, layoutKey]) {
    while (found.length < MOST_ALTERNATIVES) {
      const taken = new Set(found.map(({ layoutId }) => sort(layoutId)));
      const next = laidOut(resolved, target, (id) => !taken.has(sort(id)));
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

/** A piece as it begins, with what is painted of its lead. */
export interface Begun extends Made {
  piece: Piece;
  /** What its lead cost when it was laid out; nothing where it stands as it was composed. */
  cost: CostTerms;
}

/**
 * A piece that was begun from a template, whose lead was composed for other words: where these break a rule there,
 * the lead is laid out anew for them; pictures go to the frames that suit them. Answers the piece with what is painted of
 * its lead.
 */
export function begin(given: Piece, brand: Brand, placement: Placement, sources: Sources): Begun {
  const piece = inSuitedFrames(resolve(given, brand, placement.id, sources));
  const resolved = resolve(piece, brand, placement.id, sources);
  const target = withHouseMargin(placement, brand);
  const layout = refit(resolved, target);
  const asComposed = isAsArranged(layout) && !breaksRule(layout);
  if (asComposed) return { piece, layout, scene: compose(layout), cost: layout.cost };
  const anew = refit(resolved, target, { anew: true });
  const fitted = recomposed(resolved.piece, anew);
  return { piece: fitted, cost: anew.cost, ...makeScene(fitted, brand, placement, sources) };
}

/** The piece alone, as it begins. */
export const begun = (...about: Parameters<typeof begin>): Piece => begin(...about).piece;

const isNothing = ({ layoutId }: Layout): boolean => layoutId.kind === "nothing-fits";
const isAsArranged = ({ layoutId }: Layout): boolean => layoutId.kind === "as-arranged";

function finishScene(resolved: ResolvedPiece, placement: Placement): Made {
  const layout = asPicked(resolved, withHouseMargin(placement, resolved.brand));
  return { layout, scene: compose(layout) };
}

/** The layout that a person picked for this size, while it can be had at all; else the best. */
function asPicked(resolved: ResolvedPiece, placement: Placement): Layout {
  const size = resolved.piece.sizes.find((one) => one.placement === placement.id);
  if (size?.layout === undefined) return laidOut(resolved, placement);
  const picked = refit(resolved, placement, { only: (id) => sameLayout(id, size.layout) });
  return isNothing(picked) ? laidOut(resolved, placement) : picked;
}

/**
 * On another placement of the lead's shape the arrangement is kept only if it breaks no rule there. The lead
 * itself stays as a person composed it, and preflight says what is to be said.
 */
function laidOut(
  resolved: ResolvedPiece,
  placement: Placement,
  only: RefitOptions["only"] = () => true,
): Layout {
  const layout = refit(resolved, placement, { only });
  const kept = isAsArranged(layout) && placement.id !== resolved.piece.lead;
  return kept && breaksRule(layout) ? refit(resolved, placement, { anew: true, only }) : layout;
}

const breaksRule = (layout: Layout): boolean =>
  check(layout).some(({ level }) => level === "must-fix");

/** A house margin that is too wide for a small frame is held at this share of its short side. */
const WIDEST_MARGIN = 0.2;

/** The placement with the brand's own, wider margins. */
function withHouseMargin(placement: Placement, { defaults }: Brand): Placement {
  if (defaults.marginScale === 1) return placement;
  const most = WIDEST_MARGIN * Math.min(placement.width, placement.height);
  const wider = Math.min(placement.margin * defaults.marginScale, most);
  return { ...placement, margin: Math.max(placement.margin, Math.round(wider)) };
}
