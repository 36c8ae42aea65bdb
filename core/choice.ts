import type { Brand } from "./brand";
import { sameLayout, type LayoutId } from "./piece";
import type { Placement } from "./placements";
import { check } from "./preflight";
import { refit, type Layout, type RefitOptions } from "./refit";
import type { ResolvedPiece } from "./resolve";

/*
 * How the layout of one size is chosen: candidates, the most wanted first → rules → choice. The refit weighs what cannot
 * be measured but by eye; the rules are those that preflight names, so that no layout is chosen which it would refuse.
 */

interface Candidate {
  layout: Layout;
  /** Whatever the rules say: a person decided for it, and preflight says what is to be said; or nothing else is left. */
  stands?: boolean;
}

export interface ChoiceOptions {
  /** The layouts that may be chosen; all when not given. */
  only?: RefitOptions["only"];
  /** The piece's own decisions when not given. */
  decided?: Decisions;
}

/** What a person has decided for a size: which layout it has, and that it stands as it was composed. */
interface Decisions {
  picked?: LayoutId | undefined;
  arranged: boolean;
}

/** For a lead that nobody has seen yet. */
export const NOTHING_DECIDED: Decisions = { arranged: false };

/** The most wanted layout that breaks no rule or was decided for by a person; the last where there is no such. */
export function choose(
  resolved: ResolvedPiece,
  placement: Placement,
  { only = () => true, decided = decisionsOf(resolved, placement) }: ChoiceOptions = {},
): Layout {
  const target = withHouseMargin(placement, resolved.brand);
  let last: Layout | undefined;
  for (const candidate of candidates(resolved, target, only, decided)) {
    last = candidate.layout;
    if (candidate.stands || !breaksRule(last)) break;
  }
  return last!;
}

/** The layout that a person picked, while it can be had at all; the cheapest; the cheapest that is laid out anew. */
function* candidates(
  resolved: ResolvedPiece,
  placement: Placement,
  only: NonNullable<RefitOptions["only"]>,
  { picked, arranged }: Decisions,
): Generator<Candidate> {
  if (picked) {
    const layout = refit(resolved, placement, { only: (id) => sameLayout(id, picked) });
    if (!isNothing(layout)) yield { layout, stands: true };
  }
  const layout = refit(resolved, placement, { only });
  if (!isAsArranged(layout)) return yield { layout, stands: true };
  yield { layout, stands: arranged };
  yield { layout: refit(resolved, placement, { anew: true, only }), stands: true };
}

/** The lead stands as a person composed it, a size as a layout was picked for it. */
function decisionsOf({ piece }: ResolvedPiece, { id }: Placement): Decisions {
  const picked = piece.sizes.find((size) => size.placement === id)?.layout;
  return { picked, arranged: id === piece.lead };
}

export const isNothing = ({ layoutId }: Layout): boolean => layoutId.kind === "nothing-fits";
export const isAsArranged = ({ layoutId }: Layout): boolean => layoutId.kind === "as-arranged";

export const breaksRule = (layout: Layout): boolean =>
  check(layout).some(({ level }) => level === "must-fix");

/** A house margin that is too wide for a small frame is held at this share of its short side. */
const WIDEST_MARGIN = 0.2;

/** The placement with the brand's own, wider margins. */
export function withHouseMargin(placement: Placement, { defaults }: Brand): Placement {
  if (defaults.marginScale === 1) return placement;
  const most = WIDEST_MARGIN * Math.min(placement.width, placement.height);
  const wider = Math.min(placement.margin * defaults.marginScale, most);
  return { ...placement, margin: Math.max(placement.margin, Math.round(wider)) };
}
