import { area, contains, inset, intersect, overlaps, type Box } from "../geometry";
import { isFirm, type Part } from "../picture";
import { cssPerPixel } from "../placements";
import { leastWidthOf } from "../brand";
import { isClearlySmaller, LEAST_SUBJECT_SHOWN, MOST_SUBJECT_COVERED } from "../rules";
import {
  clearSpace,
  holdsSubject,
  largest,
  logoInk,
  orderOf,
  isCut,
  isWhole,
  seenParts,
  type SeenPart,
  type Layout,
  type Placed,
} from "../refit";
import type { Finding } from "./finding";
import { inkOf, named } from "./ink";

/** How the parts of a size stand to each other: apart, whole, in order. */
export const checkTogether = (layout: Layout): Finding[] => [
  ...checkOverlaps(layout),
  ...checkEdges(layout),
  ...checkSubjects(layout),
  ...checkOrder(layout),
  ...checkLogos(layout),
];

const SOLID = new Set(["text", "logo", "icon", "code"]);
const isSolid = ({ node }: Placed): boolean =>
  SOLID.has(node.type) || (node.type === "shape" && node.role === "badge");

/** Words, logos, icons and codes never touch each other; what sits on a plate sits there on purpose. */
function checkOverlaps({ placed }: Layout): Finding[] {
  const solid = placed.filter(isSolid);
  return solid.flatMap((a, i) =>
    solid
      .slice(i + 1)
      .filter((b) => !belongs(a, b) && touch(a, b))
      .map((b): Finding => {
        const shared = area(intersect(inkOf(a), inkOf(b)));
        const measured = (100 * shared) / Math.min(area(inkOf(a)), area(inkOf(b)));
        return { ...must("overlap", b), about: a.node.id, measured, needed: 0, unit: "percent" };
      }),
  );
}

/** What is turned together is compared as it stands before the turn. */
function touch(a: Placed, b: Placed): boolean {
  const about = (item: Placed) => `${item.about?.x} ${item.about?.y}`;
  const together = a.turn !== 0 && a.turn === b.turn && about(a) === about(b);
  const upright = (item: Placed) => inkOf(together ? { ...item, turn: 0 } : item);
  return overlaps(upright(a), upright(b));
}

const must = (code: Finding["code"], item: Placed): Finding => ({
  code,
  level: "must-fix",
  ...named(item),
});

/** One is the other's ground. Two that share a ground still keep apart. */
const belongs = (a: Placed, b: Placed): boolean =>
  b.node.on === a.node.id || a.node.on === b.node.id;

/** Words lie on a picture or plate, or beside it, but never across its edge. */
function checkEdges({ placed }: Layout): Finding[] {
  return placed.flatMap((item, index) => {
    if (!item.text && !item.logo) return [];
    if (item.node.type === "text" && item.node.plate) return [];
    const ink = inkOf(item);
    const crossed = placed
      .slice(0, index)
      .find(
        (ground) =>
          isArea(ground) && crosses(ink, ground.box) && !covered(placed, ground, index, ink),
      );
    return crossed ? [{ ...must("across-an-edge", item), about: crossed.node.id }] : [];
  });
}

const isArea = ({ node }: Placed): boolean =>
  node.type === "picture" || (node.type === "shape" && node.role === "plate");

/** A hair of a letter on the other side is not seen. */
const crosses = (ink: Box, ground: Box): boolean => {
  const core = inset(ink, 0.03 * Math.min(ink.width, ink.height));
  return overlaps(core, ground) && !contains(ground, core);
};

/** Something between the ground and the words hides the edge from them. */
const covered = (placed: Placed[], ground: Placed, index: number, ink: Box): boolean =>
  placed
    .slice(placed.indexOf(ground) + 1, index)
    .some((item) => (isArea(item) || item.node.role === "badge") && contains(item.box, ink));

/** The parts of a picture's subject are whole or out, one at least is whole, and nothing lies on any. */
function checkSubjects({ placed, placement }: Layout): Finding[] {
  return placed.flatMap((item, index) => {
    const seen = seenParts(item);
    if (seen.length === 0) return [];
    const shown = seen.filter((one) => isFirm(one.part) && (isCut(one) || isWhole(one)));
    const cut = seen.filter(isCut);
    const lost =
      cut.length === 0 && !holdsSubject(item) ? seen.filter(({ part }) => isFirm(part)) : [];
    const on = placed.slice(index + 1).filter((other) => isSolid(other) || isArea(other));
    return [
      ...[...cut, ...lost.slice(0, 1)].map((part) => cutFinding(item, part)),
      ...on.flatMap((other) => covering(item, other, shown)),
      ...underChannel(item, placement, shown),
    ];
  });
}

const cutFinding = (item: Placed, { part, shown }: SeenPart): Finding => ({
  ...must("subject-cut", item),
  level: levelFor(part),
  measured: 100 * shown,
  needed: 100 * LEAST_SUBJECT_SHOWN[part.kind],
  unit: "percent",
});

/** Where a thing ends that the program found is a guess. */
const levelFor = ({ certain }: Part): Finding["level"] => (certain ? "must-fix" : "look-again");

const mostOf = (seen: readonly SeenPart[], other: Box): number =>
  Math.max(0, ...seen.map(({ box }) => area(intersect(other, box)) / Math.max(1, area(box))));

function covering({ node }: Placed, other: Placed, seen: readonly SeenPart[]): Finding[] {
  const share = mostOf(seen, inkOf(other));
  if (share <= MOST_SUBJECT_COVERED) return [];
  const measured = 100 * share;
  return [
    {
      ...must("subject-covered", other),
      level: seen.some(({ part }) => part.certain) ? "must-fix" : "look-again",
      about: node.id,
      measured,
      needed: 0,
      unit: "percent" as const,
    },
  ];
}

/** A face lies under nothing that the channel draws either. */
function underChannel(
  item: Placed,
  { covered }: Layout["placement"],
  seen: readonly SeenPart[],
): Finding[] {
  const faces = seen.filter(({ part }) => part.kind === "face");
  const share = Math.max(0, ...covered.map((area) => mostOf(faces, area)));
  if (share <= MOST_UNDER_CHANNEL) return [];
  const finding = { code: "face-under-channel", level: "look-again", ...named(item) } as const;
  return [{ ...finding, measured: 100 * share, needed: 0, unit: "percent" }];
}

/** So much of a head may stand under the channel's buttons: some hair. By eye. */
const MOST_UNDER_CHANNEL = 0.15;

/** The headline is the largest, and support is at least as large as what is read after it. */
function checkOrder({ placed }: Layout): Finding[] {
  const { texts, ruling, louder } = orderOf(placed);
  const body = largest(texts.filter(({ node }) => node.role === "body"));
  const support = texts.filter(({ node }) => node.role === "support");
  const weak = support.filter(({ text }) => isClearlySmaller(text!.set.size, body));
  const finding = (item: Placed, needed: number): Finding => ({
    ...must("out-of-order", item),
    measured: item.text!.set.size,
    needed,
    unit: "px",
  });
  return [
    ...louder.map((item) => finding(item, ruling)),
    ...weak.map((item) => finding(item, body)),
  ];
}

/** A logo has its clear space, its least width and its own shape; a plate of its own is clear space too. */
function checkLogos(layout: Layout): Finding[] {
  return layout.placed.flatMap((item) => {
    if (!item.logo) return [];
    const ink = logoInk(item);
    const width = ink.width * cssPerPixel(layout.placement);
    const needed = leastWidthOf(item.logo.logo, ink.width / ink.height);
    const around = inset(item.box, -clearSpace(item));
    const near = layout.placed.find(
      (other) =>
        other !== item && isSolid(other) && !belongs(item, other) && overlaps(around, inkOf(other)),
    );
    return [
      ...(isClearlySmaller(width, needed)
        ? [{ ...must("logo-small", item), measured: width, needed, unit: "css-px" as const }]
        : []),
      ...(near ? [{ ...must("logo-crowded", item), about: near.node.id }] : []),
    ];
  });
}
