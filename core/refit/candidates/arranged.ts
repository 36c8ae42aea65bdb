import { area, contains, intersect, overlaps, scaleBox, type Box } from "../../geometry";
import { acrossItem } from "../anchored/across";
import { placeRunning } from "../anchored/words";
import type { ResolvedNode } from "../../resolve";
import type { Placed } from "../layout";
import { besideWords, boundsOf } from "../pictures/media";
import { mostCovered, seenBoxes } from "../pictures/subjects";
import type { Stage } from "../structure/stage";
import { onTheirGround } from "../settle";
import { byHandIn, isLead, placeIn } from "../words/in-box";

/** How far the shape of the frame may differ from the lead's for its arrangement to be used as it is. */
const SAME_SHAPE = 0.03;

/**
 * The arrangement as composed, scaled: for the lead size itself and for frames of its shape.
 * Undefined when the words no longer fit their boxes, or (on another placement) leave its safe area.
 */
export function asArranged(stage: Stage): Placed[] | undefined {
  const { frame, lead } = stage;
  const scale = frame.width / lead.width;
  const shape = frame.height / frame.width / (lead.height / lead.width);
  if (Math.abs(shape - 1) > SAME_SHAPE || !isWhole(stage)) return undefined;
  const placed: Placed[] = [];
  const running = placeRunning(stage).placed;
  for (const node of stage.resolved.nodes) {
    const target = byHandIn(frame, node) ?? scaleBox(node.box, scale);
    const item =
      running.find((one) => one.node.id === node.id) ??
      acrossItem(stage, node) ??
      placeIn(stage, node, target, scale, placed);
    if (!item) return undefined;
    placed.push(item);
  }
  turnGroups(placed);
  // What runs through all slides was coloured for the ground, not for what stands there on one of them.
  const seen = onTheirGround(stage, withSubjectsClear(stage, placed), isRunning);
  // At the lead size it stands as it was composed, whatever the words are now.
  if (isLead(stage)) return seen;
  const hole = seen.some((item) => leavesHole(item, scale));
  return !hole && holds(stage, seen) ? seen : undefined;
}

const isRunning = ({ strip }: ResolvedNode): boolean => strip === "running";

/** Pictures show their subjects beside the words that stand on them. */
const withSubjectsClear = ({ clear }: Stage, placed: Placed[]): Placed[] =>
  placed.map((item, index) => {
    const { node, box: at } = item;
    if (node.type !== "picture") return item;
    const on = placed.slice(index + 1).map(({ box: other }) => intersect(other, at));
    const taken = boundsOf(on.filter((part) => area(part) > 0));
    if (!taken || isWholeOver(taken, at)) return item;
    const beside = besideWords(node, at, clear, taken);
    return isCovered(beside, on) && !isCovered(item, on) ? item : beside;
  });

const isCovered = (picture: Placed, on: readonly Box[]): boolean =>
  mostCovered(seenBoxes(picture), on) > 0;

/** Words that leave no side of the picture free. */
const isWholeOver = (taken: Box, at: Box): boolean => area(taken) > MOST_TAKEN * area(at);
const MOST_TAKEN = 0.8;

/**
 * What was composed is what there is to show: nothing has come that has no place there, and nothing that had one has
 * become empty and would leave a hole.
 */
const isWhole = ({ resolved: { nodes, absent, piece } }: Stage): boolean => {
  const emptied = new Set(absent.filter(({ why }) => why === "empty").map(({ id }) => id));
  return (
    nodes.every(({ unplaced }) => !unplaced) &&
    piece.arrangement.every(({ id, unplaced, slot }) => unplaced || !slot || !emptied.has(id))
  );
};

/** A ruling text that fills less than this share of its box's height leaves a hole beside what stands around it. */
const LEAST_FILL = 0.62;

/** Other words need another layout: a headline that was composed for two lines and now takes one, and the like. */
function leavesHole({ node, text }: Placed, scale: number): boolean {
  return (
    text !== undefined &&
    node.importance === 5 &&
    text.set.height < LEAST_FILL * node.box.height * scale
  );
}

/** What sits on a turned shape turns with it, about that shape's centre. */
function turnGroups(placed: Placed[]): void {
  const byId = new Map(placed.map((item) => [item.node.id, item]));
  for (const item of placed) {
    const ground = item.node.on === undefined ? undefined : byId.get(item.node.on);
    if (!ground || ground.turn === 0 || item.turn !== 0) continue;
    item.turn = ground.turn;
    item.about = {
      x: ground.box.x + ground.box.width / 2,
      y: ground.box.y + ground.box.height / 2,
    };
  }
}

function holds(stage: Stage, placed: Placed[]): boolean {
  const words = placed.filter((item) => item.text ?? item.logo);
  const inside = words.every((item) => contains(stage.kept, item.box));
  const apart = words.every((a, i) => words.slice(i + 1).every((b) => !overlaps(a.box, b.box)));
  return inside && apart;
}
