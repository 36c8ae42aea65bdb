import { bottom, box, centre, contains, inset, overlaps, right, type Box } from "../../geometry";
import type { TextNode } from "../../resolve";
import { stack, textBlock, type Block } from "./block";
import type { Placed } from "../layout";
import { clearSpace } from "./logo";
import type { Badge } from "../structure/parts";
import { setAt, setToFit } from "../../type";
import type { Stage } from "../structure/stage";

/** The diameter that a badge wants, as a share of the frame's extent. */
export const BADGE_SHARE = 0.26;
/** First with all its words, if need be a little larger; then smaller, with the first line alone. */
const TRIES = [
  { share: BADGE_SHARE, lines: "all" },
  { share: 0.29, lines: "all" },
  { share: 0.32, lines: "all" },
  { share: BADGE_SHARE, lines: "first" },
  { share: 0.22, lines: "first" },
  { share: 0.18, lines: "first" },
] as const;
const STEPS = 16;

/**
 * Puts a badge where it is free: clear of every word, off the pictures' subjects, inside the safe area.
 * It prefers to be large, to sit on the ornament, and to stand where the reading ends.
 */
export function placeBadge(
  stage: Stage,
  badge: Badge,
  others: Placed[],
  subjects: readonly Box[],
  ornament: Box | undefined,
): Placed[] | undefined {
  const turn = badge.plate.turn;
  const most = 0.86 * Math.min(stage.badgeArea.height, stage.badgeArea.width);
  const obstacles = [
    ...others.map((item) => inset(item.box, -Math.max(0.6 * stage.unit, clearSpace(item)))),
    ...subjects.map((subject) => inset(subject, -1)),
  ];
  let tooLarge = Infinity;
  for (const { share, lines } of TRIES) {
    const diameter = Math.min(share * stage.extent, most);
    if (diameter >= tooLarge) continue;
    const room = innerWords(stage, badge, lines, diameter);
    if (!room) continue;
    const spot = bestSpot(stage, diameter, obstacles, ornament);
    if (!spot) {
      tooLarge = diameter;
      continue;
    }
    const about = centre(spot);
    const words = room.place(about.x - room.width / 2, about.y - room.height / 2);
    return [
      { node: badge.plate, box: spot, turn },
      ...words.map((item) => ({ ...item, turn, about })),
    ];
  }
  return undefined;
}

/** What was composed largest: a price, a day. */
const rulingOf = (inside: readonly TextNode[]): TextNode | undefined =>
  [...inside].sort((a, b) => (b.size ?? 0) - (a.size ?? 0))[0];

type Lines = (typeof TRIES)[number]["lines"];

/** What a badge of a diameter holds; undefined when it does not fit the round. */
function innerWords(
  stage: Stage,
  { inside }: Badge,
  lines: Lines,
  diameter: number,
): Block | undefined {
  return stage.once(inside, [diameter, lines === "all" ? 1 : 0], () =>
    wordsInRound(stage, lines === "all" ? inside : firstOf(inside), diameter),
  );
}

const firstOf = (inside: readonly TextNode[]): TextNode[] =>
  [rulingOf(inside)].flatMap((one) => one ?? []);

/** The ruling text large, the others at reading size over or under it. */
function wordsInRound(stage: Stage, inside: TextNode[], diameter: number): Block | undefined {
  const ruling = rulingOf(inside);
  if (!ruling) return undefined;
  const others = inside.filter((node) => node !== ruling);
  const width = 0.76 * diameter;
  const small = Math.max(stage.floor, 0.1 * diameter);
  const set = setToFit(ruling.paragraph, {
    width,
    height: (others.length > 0 ? 0.4 : 0.5) * diameter,
    min: stage.floor,
    max: diameter,
    mostLines: 1,
  });
  const blocks = inside.flatMap((node) => {
    const words = node === ruling ? set : setAt(node.paragraph, small, 0.72 * diameter, 1);
    return words ? [centred(textBlock(node, words), width)] : [];
  });
  if (blocks.length < inside.length) return undefined;
  const whole = stack(
    blocks,
    others.map(() => 0.06 * diameter),
  );
  return whole.height <= 0.62 * diameter ? whole : undefined;
}

const centred = (block: Block, width: number): Block => ({
  ...block,
  width,
  place: (x, y) => block.place(x + (width - block.width) / 2, y),
});

function bestSpot(
  { badgeArea: safe, align }: Stage,
  diameter: number,
  obstacles: Box[],
  ornament: Box | undefined,
): Box | undefined {
  let best: { spot: Box; score: number } | undefined;
  for (let column = 0; column <= STEPS; column++) {
    for (let row = 0; row <= STEPS; row++) {
      const x = safe.x + ((safe.width - diameter) * column) / STEPS;
      const y = safe.y + ((safe.height - diameter) * row) / STEPS;
      const spot = box(x, y, diameter, diameter);
      if (obstacles.some((o) => overlaps(o, spot)) || !contains(safe, spot)) continue;
      const score = scoreOf(spot, safe, obstacles, ornament, align === 1);
      if (score > (best?.score ?? -Infinity)) best = { spot, score };
    }
  }
  return best?.spot;
}

/** Room around it counts most, up to a third of its size; then the ornament, then where reading ends. */
function scoreOf(
  spot: Box,
  safe: Box,
  obstacles: Box[],
  ornament: Box | undefined,
  fromRight: boolean,
): number {
  const clear = Math.min(...obstacles.map((o) => distance(spot, o)), spot.width / 3) / spot.width;
  const onOrnament = ornament && overlaps(spot, ornament) ? 1 - offCentre(spot, ornament) : 0;
  const across = (centre(spot).x - safe.x) / safe.width;
  const toTheEnd = fromRight ? 1 - across : across;
  const down = (centre(spot).y - safe.y) / safe.height;
  return 2 * clear + 0.8 * onOrnament + 0.5 * toTheEnd + 0.5 * down;
}

function distance(a: Box, b: Box): number {
  const dx = Math.max(0, a.x - right(b), b.x - right(a));
  const dy = Math.max(0, a.y - bottom(b), b.y - bottom(a));
  return Math.hypot(dx, dy);
}

/**
 * How far the spot's middle is from the ornament's, 0..1: across a band's short side, and along its
 * long side too where the band is hardly longer than the badge.
 */
function offCentre(spot: Box, ornament: Box): number {
  const [a, b] = [centre(spot), centre(ornament)];
  const x = Math.abs(a.x - b.x) / ornament.width;
  const y = Math.abs(a.y - b.y) / ornament.height;
  const isBlock = Math.max(ornament.width, ornament.height) < 2.2 * spot.width;
  const across = ornament.width >= ornament.height ? y : x;
  return Math.min(1, 2 * (isBlock ? Math.max(x, y) : across));
}
