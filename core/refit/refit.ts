import type { Placement } from "../placements";
import type { ResolvedNode, ResolvedPiece } from "../resolve";
import { asArranged } from "./arranged";
import { pictureAbove, pictureBetween, wordsAlone } from "./bands";
import { columns } from "./columns";
import { Costing, NO_COST, total } from "./cost";
import { finish } from "./finish";
import type { Draft } from "./draft";
import type { CostTerms, Layout, LeftOut, Placed } from "./layout";
import { droppable, nodesOf, without, type Parts } from "./parts";
import { onTheirGround, withLocalPlaces } from "./settle";
import { Stage } from "./stage";
import { overPhoto, pictureWhole } from "./overlay";
import { mirrored } from "./mirror";
import { strip } from "./strip";
import { withVeils } from "./veil";

/** How a size says that it stands as it was composed. */
export const AS_ARRANGED = "as arranged";

const GENERATORS = [
  overPhoto,
  pictureWhole,
  pictureAbove,
  pictureBetween,
  columns,
  strip,
  wordsAlone,
];

/**
 * Lays a piece out for one placement: structure → candidates → cost → choice.
 * Deterministic; never throws for a piece that its schema accepts. What cannot be had at the
 * legibility floor is left out and named in `leftOut`. All lengths are output pixels at scale 1. `anew` does not
 * take the arrangement as it is, even where the frame has its shape.
 */
export function refit(
  resolved: ResolvedPiece,
  placement: Placement,
  { anew = false }: { anew?: boolean } = {},
): Layout {
  const stage = new Stage(resolved, placement);
  const { placed, via, cost } = (anew ? undefined : arranged(stage)) ?? best(stage);
  return {
    resolved,
    placement,
    leadScale: stage.leadScale,
    safe: stage.safe,
    floor: stage.floor,
    placed: withBackdrop(stage, withVeils(stage, placed)),
    leftOut: leftOut(resolved, placed),
    via,
    cost,
  };
}

interface Choice {
  placed: Placed[];
  via: string;
  cost: CostTerms;
}

function arranged(stage: Stage): Choice | undefined {
  const placed = asArranged(stage);
  return placed && { placed, via: AS_ARRANGED, cost: NO_COST };
}

/**
 * The cheapest of all candidates. Nodes are dropped one after another, least important first,
 * and dropping stops once what is missing alone costs more than the best found so far.
 */
function best(stage: Stage): Choice {
  const all = stage.parts;
  const order = droppable(all, ifRoom(stage.resolved));
  const costing = new Costing(stage, all);
  let choice: Choice = { placed: [], via: "nothing fits", cost: { ...NO_COST, leftOut: Infinity } };
  for (let count = 0; count <= order.length; count++) {
    const dropped = new Set(order.slice(0, count).flatMap((group) => group.map((node) => node.id)));
    const missing = costing.missing((id) => dropped.has(id));
    if (missing >= total(choice.cost)) break;
    choice = cheapest(stage, without(all, dropped), costing, missing, choice);
  }
  // Words that cannot be set at all stay out, and preflight says so; the rest of the graphic is there.
  if (choice.placed.length === 0) {
    const bare = without(all, new Set(wordsThatMustStay(all)));
    choice = cheapest(
      stage,
      bare,
      costing,
      costing.missing(() => false),
      choice,
    );
  }
  return { ...choice, placed: withLocalPlaces(stage, onTheirGround(stage, choice.placed)) };
}

function cheapest(
  stage: Stage,
  parts: Parts,
  costing: Costing,
  missing: number,
  soFar: Choice,
): Choice {
  let choice = soFar;
  for (const generator of GENERATORS) {
    for (const made of drafts(generator, stage, parts)) {
      const draft = stage.align === 1 ? mirrored(stage, made) : made;
      if (costing.least(draft, missing) >= total(choice.cost)) continue;
      const placed = finish(stage, draft);
      if (!placed || placed.length === 0) continue;
      const cost = costing.of(draft, placed);
      if (total(cost) < total(choice.cost)) choice = { placed, via: draft.via, cost };
    }
  }
  return choice;
}

const wordsThatMustStay = ({ headline, cta, above, details }: Parts): string[] =>
  [headline, cta, ...[...above, ...details].flatMap(nodesOf)].flatMap((node) => node?.id ?? []);

function* drafts(
  generator: (typeof GENERATORS)[number],
  stage: Stage,
  parts: Parts,
): Generator<Draft> {
  for (const size of stage.textSizes) yield* generator(stage, parts, size);
}

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

function leftOut(resolved: ResolvedPiece, placed: Placed[]): LeftOut[] {
  const present = new Set(placed.map((item) => item.node.id));
  const dropped = resolved.nodes.filter(
    (node) => !present.has(node.id) && node.role !== "backdrop",
  );
  return [
    ...dropped.map((node): LeftOut => ({ id: node.id, why: whyDropped(node) })),
    ...resolved.absent
      .filter(({ why }) => why !== "empty")
      .map(({ id, why }): LeftOut => ({ id, why })),
  ];
}

const whyDropped = (node: ResolvedNode): LeftOut["why"] =>
  FIGURES.has(node.type) && node.role !== "badge" ? "not-for-this-shape" : "no-room";

/** What has its place in the arrangement only; another shape of frame has none for it. */
const FIGURES = new Set(["shape", "icon", "code"]);
