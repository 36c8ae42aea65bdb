import { area, box, intersect, type Box } from "../../geometry";
import type { Draft } from "../candidates/draft";
import type { CostTerms, Placed } from "../layout";
import { BADGE_SHARE } from "../words/badge";
import { mostHeadline } from "../words/common";
import { busyBehind, pictureCost, subjectCost } from "./picture-cost";
import { allNodes, isList, nodesOf, type Parts } from "../structure/parts";
import { isCounted } from "../../message";
import type { ResolvedNode } from "../../resolve";
import { isSmaller } from "../../rules";
import { isProse } from "../../text";
import { TEXT_ALONE, type Stage } from "../structure/stage";

/*
 * A layout is chosen by an energy: a weighted sum of named terms, as in “Learning Layouts for Single-Page Graphic
 * Designs” (IEEE Transactions on Visualization and Computer Graphics, 2014), from which white space, importance and
 * emphasis are taken as ideas; and as in the work on content-aware layout the occlusion of what is salient and the
 * use of space are terms of their own. Named from memory; all formulas and weights here are ours, set by eye.
 * Overlap, legibility and alignment are no terms: a draft that would break them is not made at all.
 */

/** A ruling headline inks its bounding box over this share of the frame. Common practice: about half the weight. */
const RULING_SHARE = 0.15;
const RULING_SHARE_ALONE = 0.34;
/** Over a list it leaves room for what is to be read. By eye. */
const RULING_SHARE_LIST = 0.2;
const LIST = 3;
/** Headline to text, at the least. Common practice. */
const JUMP = 3;
/** Below this, headline and text look like two of a kind. Common practice. */
const LEAST_JUMP = 2.2;
/** And where it may be no larger. By eye. */
const JUMP_IN_SET = 2.1;
const MEDIA_SHARE = { from: 0.4, to: 0.6 } as const;
/** A picture longer than this times its width shows little of anything. By eye. */
const MOST_SLIT = 2.8;
/** Of a headline, and of a sentence that is read like text. By eye. */
const COMFORTABLE_LINES = { seen: 3, read: 7 } as const;

/** Weighs the layouts of one piece on one placement. */
export class Costing {
  /** Headline to text as it was composed. */
  private readonly composedJump: number;
  private readonly weights: ReadonlyMap<string, number>;

  constructor(
    private readonly stage: Stage,
    all: Parts,
    worth: (node: ResolvedNode) => number,
  ) {
    this.weights = new Map(allNodes(all).map((node) => [node.id, worth(node)]));
    const sizes = all.details
      .flatMap(nodesOf)
      .map((node) => (node.type === "text" ? (node.size ?? 0) : 0));
    const composed = (all.headline?.size ?? Infinity) / Math.max(1, ...sizes);
    // One that is as large as others of its set is made no larger by smaller text.
    this.composedJump = stage.isOfSet ? Math.min(JUMP_IN_SET, composed) : composed;
  }

  of(draft: Draft, placed: Placed[]): CostTerms {
    const headline = placed.find((item) => item.node === draft.parts.headline);
    const present = new Set(placed.map((item) => item.node.id));
    return {
      ...this.early(draft, headline, placed),
      leftOut: this.missing((id) => !present.has(id)),
      subject: subjectCost(draft, placed),
      picture: pictureCost(draft, placed),
      busy: busyBehind(draft, placed),
      empty: emptiness(this.stage, placed),
      badge: badgeCost(this.stage, placed),
    };
  }

  /** What a draft costs at the least, before its pictures are cropped and its badge is placed. */
  least(draft: Draft, leftOut: number): number {
    const headline = draft.words.find((item) => item.node === draft.parts.headline);
    return leftOut + total(this.early(draft, headline, draft.words));
  }

  /** The cost of the nodes that are missing. */
  missing(isMissing: (id: string) => boolean): number {
    let sum = 0;
    for (const [id, weight] of this.weights) if (isMissing(id)) sum += weight;
    return sum;
  }

  private early(draft: Draft, headline: Placed | undefined, words: Placed[]): CostTerms {
    return {
      ...NO_COST,
      dominance: dominance(this.stage, headline, rulingShare(draft)),
      jump: isSentence(headline) ? 0 : jump(words, headline, this.composedJump),
      media: mediaCost(this.stage, draft, draft.parts.photos.length > 0),
      lines: 0.12 * Math.max(0, linesOf(headline) - comfortableLines(headline)),
      text: smallText(this.stage, words, headline) + underLeast(this.stage, words),
      change: 0.2 * (draft.change + offItsGround(draft)),
    };
  }
}

const linesOf = (item: Placed | undefined): number => item?.text?.set.lines.length ?? 0;

const comfortableLines = (headline: Placed | undefined): number =>
  COMFORTABLE_LINES[isSentence(headline) ? "read" : "seen"];

/** A headline that is read like text is neither seen from afar nor short. */
const isSentence = (item: Placed | undefined): boolean =>
  item?.node.type === "text" && isProse(item.node.text);

export const NO_COST: CostTerms = {
  leftOut: 0,
  dominance: 0,
  jump: 0,
  media: 0,
  subject: 0,
  picture: 0,
  busy: 0,
  empty: 0,
  lines: 0,
  change: 0,
  badge: 0,
  text: 0,
};

export function total(terms: CostTerms): number {
  return Object.values(terms).reduce((all, term) => all + term, 0);
}

/** It is as large on every slide, whatever stands beside it there. */
const isOfStrip = ({ strip, slot }: ResolvedNode): boolean =>
  strip === "running" || (slot !== undefined && isCounted(slot));

/** Text that is smaller than it was composed, seen from the frame, for no other reason than a larger headline. */
function smallText(stage: Stage, words: Placed[], headline: Placed | undefined): number {
  const running = words.filter(
    (item) =>
      item.text && item !== headline && item.node.role !== "kicker" && !isOfStrip(item.node),
  );
  const least = Math.min(...running.map((item) => item.text!.set.size), Infinity);
  if (!Number.isFinite(least)) return 0;
  const timid = timidity(stage.parts) * Math.max(0, 1 - least / (TEXT_ALONE * stage.unit));
  return 3.2 * Math.max(0, 1 - least / stage.composedText) + timid;
}

/** What it costs that words are smaller than a person wants them, at once and the more the smaller they are. By eye. */
const UNDER_LEAST = { once: 1.5, most: 6 } as const;

function underLeast(stage: Stage, words: readonly Placed[]): number {
  return words.reduce((sum, { node, text }) => {
    if (node.type !== "text" || !text || node.least === undefined) return sum;
    const least = stage.leastOf(node);
    if (!isSmaller(text.set.size, least)) return sum;
    return sum + UNDER_LEAST.once + UNDER_LEAST.most * (1 - text.set.size / least);
  }, 0);
}

/** What it costs that text is as small as beside a picture where there is none; a list is what is read most. By eye. */
function timidity({ photos, details }: Parts): number {
  if (photos.length > 0) return 0;
  return details.some((item) => item.type === "text" && isList(item)) ? 1.4 : 0.7;
}

/** Words that were composed on a picture belong there, and those of a card on the card: it is what one remembers. */
const OFF_PICTURE = 4;
const OFF_CARD = 30;

function offItsGround({ parts, over, plate }: Draft): number {
  if (over || plate) return 0;
  if (parts.isCard) return OFF_CARD;
  return parts.overPhoto || parts.plate !== undefined ? OFF_PICTURE : 0;
}

function rulingShare({ media, parts }: Draft): number {
  if (media) return RULING_SHARE;
  return parts.details.length >= LIST ? RULING_SHARE_LIST : RULING_SHARE_ALONE;
}

/** A headline that is smaller than others of its set, before what stands under it is. By eye. */
const OUT_OF_SET = 6;

function dominance(stage: Stage, headline: Placed | undefined, wanted: number): number {
  if (!headline) return 1;
  if (stage.isOfSet)
    return OUT_OF_SET * Math.max(0, 1 - (headline.text?.set.size ?? 0) / mostHeadline(stage));
  const share = area(headline.box) / area(stage.frame);
  return 2 * Math.max(0, 1 - share / wanted);
}

/** A badge is meant to be seen: smaller than it could be costs a little. */
function badgeCost(stage: Stage, placed: Placed[]): number {
  const badge = placed.find((item) => item.node.role === "badge" && item.node.type === "shape");
  return badge ? 4 * Math.max(0, BADGE_SHARE - badge.box.width / stage.extent) : 0;
}

function jump(placed: Placed[], headline: Placed | undefined, composedJump: number): number {
  const size = headline?.text?.set.size ?? 0;
  const badge = placed.find(({ node }) => node.role === "badge")?.node.id;
  const plain = placed.filter(
    (item) =>
      item.text &&
      item !== headline &&
      item.node.role !== "price" &&
      !isOfStrip(item.node) &&
      (badge === undefined || item.node.on !== badge),
  );
  const largest = Math.max(0, ...plain.map((item) => item.text!.set.size));
  const ratio = size / largest;
  const wanted = Math.min(JUMP, composedJump);
  const least = Math.min(LEAST_JUMP, 0.8 * wanted);
  return largest === 0 ? 0 : 0.8 * Math.max(0, wanted - ratio) + 3 * Math.max(0, least - ratio);
}

/** A photograph takes about half; an ornament only fills what the words leave, and is never in the way. */
function mediaCost(stage: Stage, draft: Draft, isPhoto: boolean): number {
  if (!draft.media || draft.over) return 0;
  const share = area(draft.media) / area(stage.frame);
  if (!isPhoto) return share > 0.45 ? 2 * (share - 0.45) : 0;
  const { width, height } = draft.media;
  const slit = Math.max(width / height, height / width) / draft.parts.photos.length;
  return (
    3 * Math.max(0, MEDIA_SHARE.from - share, share - MEDIA_SHARE.to) +
    0.35 * Math.max(0, slit - MOST_SLIT)
  );
}

/** A field with nothing on it within this share of the frame's usable sides is empty. */
const NEAR = 1 / 24;
/** Of the usable area, what content reaches at the least; the rest is air. Common practice. */
const REACHED = 0.8;

/** The share of the usable area that nothing reaches, beyond the fifth that is air. */
function emptiness(stage: Stage, placed: Placed[]): number {
  const { safe } = stage;
  const [dx, dy] = [NEAR * safe.width, NEAR * safe.height];
  const reached = placed
    .filter(({ node, box: at }) => !isGround(stage, node.role, at))
    .map(({ box: at }) =>
      intersect(box(at.x - dx, at.y - dy, at.width + 2 * dx, at.height + 2 * dy), safe),
    );
  const reach = coverage(reached, safe);
  const small = reach < ROOMY && placed.some((item) => isSmall(stage, item)) ? SMALL_PRINT : 0;
  return 1.6 * Math.max(0, REACHED - reach) + small;
}

/** Where content reaches less than this, small words have no excuse. Common practice. */
const ROOMY = 0.76;
/** What small print beside free room costs. By eye. */
const SMALL_PRINT = 3.4;

/** What a badge holds is as small as the badge makes it. */
const isSmall = ({ least, parts }: Stage, { text, node }: Placed): boolean =>
  text !== undefined &&
  isSmaller(text.set.size, least) &&
  (!parts.badge || node.on !== parts.badge.plate.id);

/** What fills the frame is the ground of all; a smaller plate is a card, which is seen. */
const isGround = ({ frame }: Stage, role: string, at: Box): boolean =>
  role === "backdrop" || (role === "plate" && area(at) > 0.9 * area(frame));

/** The share of `frame` under any of the boxes, by a coarse grid; exact areas are not needed here. */
function coverage(boxes: Box[], frame: Box): number {
  const cells = 12;
  let hits = 0;
  for (let row = 0; row < cells; row++) {
    for (let column = 0; column < cells; column++) {
      const x = frame.x + (frame.width * (column + 0.5)) / cells;
      const y = frame.y + (frame.height * (row + 0.5)) / cells;
      if (boxes.some((b) => x >= b.x && x <= b.x + b.width && y >= b.y && y <= b.y + b.height))
        hits++;
    }
  }
  return hits / (cells * cells);
}
