import { sameLayout, type LayoutId } from "../piece";
import type { Placement } from "../placements";
import type { ResolvedNode, ResolvedPiece } from "../resolve";
import { asArranged } from "./candidates/arranged";
import { pictureAbove, pictureBetween, wordsAlone } from "./candidates/bands";
import { onCard } from "./candidates/card";
import { columns } from "./candidates/columns";
import { headlineAcross } from "./candidates/headline-across";
import { Costing, NO_COST, total } from "./cost/cost";
import { finish } from "./finish";
import type { Draft } from "./candidates/draft";
import type { CostTerms, Layout, LeftOut, Placed } from "./layout";
import { isList, nodesOf, type Parts } from "./structure/parts";
import { droppable, unbadged, without } from "./structure/dropping";
import { SHOWN, worthOf } from "./structure/worth";
import { onTheirGround, withLocalPlaces } from "./settle";
import { Stage } from "./structure/stage";
import { overPhoto, pictureWhole } from "./candidates/overlay";
import { mirrored } from "./candidates/mirror";
import { orderOf } from "./structure/order";
import { ornamentBelow, takingRoom } from "./candidates/ornament";
import { SIGN_ALONE, signAlone } from "./candidates/profile";
import { strip } from "./candidates/strip";
import { acrossItems } from "./anchored/across";
import { withFigures } from "./anchored/figures";
import { placePinned } from "./anchored/words";
import { withScrims } from "./pictures/scrim";

/** How a size says that it stands as it was composed. */
const AS_ARRANGED: LayoutId = { kind: "as-arranged" };
const NOTHING_FITS: LayoutId = { kind: "nothing-fits" };
/**
 * A layout that was seen before keeps its place against one that is better by less than this: a small edit does not
 * turn a size over. By eye.
 */
const HYSTERESIS = 0.12;

const GENERATORS = [
  overPhoto,
  onCard,
  ornamentBelow,
  pictureWhole,
  pictureAbove,
  pictureBetween,
  columns,
  headlineAcross,
  strip,
  wordsAlone,
];

export interface RefitOptions {
  /** Do not take the arrangement as it is, even where the frame has its shape. */
  anew?: boolean;
  /** The layouts that may be chosen; all when not given. */
  only?: (id: LayoutId) => boolean;
}

/**
 * Lays a piece out for one placement: structure → candidates → cost → choice.
 * Deterministic; never throws for a piece that its schema accepts. What cannot be had at the
 * legibility floor is left out and named in `leftOut`. All lengths are output pixels at scale 1.
 */
export function refit(
  resolved: ResolvedPiece,
  placement: Placement,
  { anew = false, only = () => true }: RefitOptions = {},
): Layout {
  const stage = new Stage(resolved, placement);
  const asComposed = anew || !only(AS_ARRANGED) ? undefined : arranged(stage);
  const { placed, layoutId, cost } =
    asComposed ?? sign(stage, only) ?? bestPinned(stage, only) ?? best(stage, only);
  return {
    resolved,
    placement,
    leadScale: stage.leadScale,
    safe: stage.safe,
    floor: stage.floor,
    placed: withBackdrop(stage, withScrims(stage, placed)),
    leftOut: leftOut(resolved, placed, layoutId),
    layoutId,
    cost,
  };
}

function sign(stage: Stage, only: (id: LayoutId) => boolean): Choice | undefined {
  const placed = only(SIGN_ALONE) ? signAlone(stage) : undefined;
  return placed && { placed, layoutId: SIGN_ALONE, cost: NO_COST };
}

interface Choice {
  placed: Placed[];
  layoutId: LayoutId;
  cost: CostTerms;
}

function arranged(stage: Stage): Choice | undefined {
  const placed = asArranged(stage);
  return placed && { placed, layoutId: AS_ARRANGED, cost: NO_COST };
}

/** The best around the words that are pinned to an edge; undefined where there are none, or more would be left out for them. */
function bestPinned(stage: Stage, only: (id: LayoutId) => boolean): Choice | undefined {
  const pinned = placePinned(stage);
  if (!pinned) return undefined;
  const choice = best(stage.set({ pinned }), only);
  if (choice.placed.length === 0) return undefined;
  // A line or an ornament is no reason to loosen words.
  if (choice.cost.leftOut <= SHOWN) return choice;
  const running = placePinned(stage, "running");
  const loose = best(running ? stage.set({ pinned: running, loose: true }) : stage, only);
  return loose.cost.leftOut < choice.cost.leftOut ? loose : choice;
}

/**
 * The cheapest of all candidates. Where none holds everything, all is set closer together; where that does not help
 * either, nodes are dropped one after another, the least worth first, until what is missing alone costs more than the
 * best found so far.
 */
function best(stage: Stage, only: (id: LayoutId) => boolean): Choice {
  const all = stage.parts;
  const keepIfRoom = ifRoom(stage.resolved);
  const worth = (node: ResolvedNode) => worthOf(stage, node, keepIfRoom.has(node.id));
  const order = droppable(takingRoom(stage), worth);
  const seen = stage.resolved.piece.shown?.[stage.placement.id];
  const costing = new Costing(stage, all, worth);
  const maker = (of: Stage, unbadge: boolean): Maker => ({
    stage: of,
    costing,
    only,
    unbadge,
    seen,
  });
  const loose = maker(stage, stage.isSmall);
  const columns = hasList(all) ? LIST_COLUMNS : [];
  const inColumns = columns.map((listColumns) => maker(stage.set({ listColumns }), stage.isSmall));
  const usually = [loose, ...inColumns];
  // Only where it is needed: most sizes hold everything as usual.
  let close: Maker[] | undefined;
  const closer = (): Maker[] =>
    (close ??= [
      ...(all.badge && !stage.isSmall ? [maker(stage, true)] : []),
      ...(stage.callsOut ? [maker(stage.set({ plain: true }), true)] : []),
      ...[1, ...columns].map((listColumns) => maker(stage.set({ tight: true, listColumns }), true)),
    ]);
  let fits = false;
  let choice: Choice = {
    placed: [],
    layoutId: NOTHING_FITS,
    cost: { ...NO_COST, leftOut: Infinity },
  };
  for (let count = 0; count <= order.length; count += stepAt(order.length - count)) {
    const dropped = new Set(order.slice(0, count).flatMap((group) => group.map((node) => node.id)));
    const missing = loose.costing.missing((id) => dropped.has(id));
    if (missing - HYSTERESIS >= weight(loose, choice)) break;
    const parts = without(all, dropped);
    if (!stage.isSmall || fits)
      for (const one of usually) choice = cheapest(one, parts, missing, choice);
    if (fits || isSettled(stage, order.length, choice, missing)) continue;
    const before = choice;
    for (const one of closer()) choice = cheapest(one, parts, missing, choice);
    // In a small frame little fits however it is set; from what fits at all on, it may also be set as usual.
    if (!stage.isSmall || choice === before) continue;
    fits = true;
    for (const one of usually) choice = cheapest(one, parts, missing, choice);
  }
  // Words that cannot be set at all stay out, and preflight says so; the rest of the graphic is there.
  if (choice.placed.length === 0) {
    const bare = without(all, new Set(wordsThatMustStay(all)));
    const missing = loose.costing.missing(() => false);
    choice = cheapest(loose, bare, missing, choice);
  }
  const under = [...acrossItems(stage), ...choice.placed];
  const placed = withFigures(stage, onTheirGround(stage, under));
  return { ...choice, placed: withLocalPlaces(stage, placed) };
}

/** Nothing is set closer where that is not needed, or would not help. */
const isSettled = ({ isSmall }: Stage, count: number, choice: Choice, missing: number): boolean =>
  count > CROWD || (!isSmall && holdsAll(choice, missing));

/** Of more things than this no setting that is closer saves much, and all take long. */
const CROWD = 60;

/** Numbers of columns that the points of a list are tried in, beside one. */
const LIST_COLUMNS = [2, 3];

const hasList = ({ details }: Parts): boolean =>
  details.some((item) => item.type === "text" && isList(item));

/**
 * A layout that leaves out no more than was dropped for it and has no great fault, such as a timid headline or a subject
 * that is cut or a picture that is small; for an ornament nothing is set closer.
 */
const holdsAll = ({ cost }: Choice, missing: number): boolean =>
  cost.leftOut <= missing + SHOWN &&
  cost.picture < FAULTY_PICTURE &&
  total(cost) - cost.leftOut - cost.picture < FAULT;

/** What a layout costs that somebody would want to mend. By eye. */
const FAULT = 2.5;
/** And a picture that shows too little, or is far smaller than its place. */
const FAULTY_PICTURE = 1.2;

/** One after another, but of a great many some at a time: most of them cannot be had anyway. */
const stepAt = (left: number): number => Math.max(1, Math.floor(left / 6));

/** What all candidates of one placement are made and weighed with. */
interface Maker {
  stage: Stage;
  costing: Costing;
  only: (id: LayoutId) => boolean;
  /** What is in a badge may leave it. */
  unbadge: boolean;
  /** The layout that this placement was last seen with. */
  seen: LayoutId | undefined;
}

const held = ({ seen }: Maker, id: LayoutId): number =>
  seen && sameLayout(id, seen) ? HYSTERESIS : 0;
const weight = (maker: Maker, { layoutId, cost }: Pick<Choice, "layoutId" | "cost">): number =>
  total(cost) - held(maker, layoutId);

function cheapest(maker: Maker, parts: Parts, missing: number, soFar: Choice): Choice {
  const { stage, costing } = maker;
  let choice = soFar;
  for (const { draft, least } of promising(maker, parts, missing, weight(maker, soFar))) {
    if (least >= weight(maker, choice)) break;
    const placed = finish(stage, draft);
    if (!placed || placed.length === 0) continue;
    const next = { placed, layoutId: draft.layoutId, cost: costing.of(draft, placed) };
    if (weight(maker, next) < weight(maker, choice)) choice = next;
  }
  return choice;
}

/** The drafts that can come to less than `most`, those that promise the least first: so few must be finished. */
function promising(maker: Maker, parts: Parts, missing: number, most: number) {
  const { stage, costing, only } = maker;
  const found: { draft: Draft; least: number }[] = [];
  for (const generator of GENERATORS) {
    for (const made of drafts(generator, maker, parts)) {
      if (!only(made.layoutId) || orderOf(made.words).louder.length > 0) continue;
      const draft = stage.align === 1 ? mirrored(stage, made) : made;
      const least = costing.least(draft, missing) - held(maker, draft.layoutId);
      if (least < most) found.push({ draft, least });
    }
  }
  return found.sort((a, b) => a.least - b.least);
}

const wordsThatMustStay = ({ headline, cta, above, details }: Parts): string[] =>
  [headline, cta, ...[...above, ...details].flatMap(nodesOf)].flatMap((node) => node?.id ?? []);

/** What is in a badge stands among the other words where there is no room for the badge. */
function* drafts(
  generator: (typeof GENERATORS)[number],
  { stage, unbadge }: Maker,
  parts: Parts,
): Generator<Draft> {
  for (const size of stage.textSizes) {
    yield* generator(stage, parts, size);
    if (!parts.badge || !unbadge) continue;
    for (const draft of generator(stage, unbadged(parts), size))
      yield {
        ...draft,
        layoutId: { ...draft.layoutId, unbadged: true },
        change: draft.change + NO_BADGE,
      };
  }
}

/** How far it is from the lead's structure when what was in a badge stands among the words. */
const NO_BADGE = 4;

function ifRoom(resolved: ResolvedPiece): ReadonlySet<string> {
  const nodes = resolved.piece.arrangement.filter((node) => node.keep === "if-room");
  return new Set(nodes.map((node) => node.id));
}

/** The ground runs under everything, also where the channel covers it. */
function withBackdrop(stage: Stage, placed: Placed[]): Placed[] {
  const backdrop = stage.resolved.nodes.find((node) => node.role === "backdrop");
  if (!backdrop || placed.some((item) => item.node === backdrop)) return placed;
  return [{ node: backdrop, box: stage.frame, turn: 0 }, ...placed];
}

function leftOut(resolved: ResolvedPiece, placed: Placed[], layoutId: LayoutId): LeftOut[] {
  const present = new Set(placed.map((item) => item.node.id));
  const dropped = resolved.nodes.filter(
    (node) => !present.has(node.id) && node.role !== "backdrop",
  );
  return [
    ...dropped.map((node): LeftOut => ({
      id: node.id,
      why: layoutId.kind === "sign-alone" ? "not-for-this-shape" : whyDropped(node),
    })),
    ...resolved.absent
      .filter(({ why }) => why !== "empty")
      .map(({ id, why }): LeftOut => ({ id, why })),
  ];
}

const whyDropped = ({ type, role, pin }: ResolvedNode): LeftOut["why"] =>
  FIGURES.has(type) && role !== "badge" && !pin ? "not-for-this-shape" : "no-room";

/** What has its place in the arrangement only; another shape of frame has none for it. */
const FIGURES = new Set(["shape", "icon", "code"]);
