import { intersect } from "../../geometry";
import { keptArea } from "../../placements";
import type { TextNode } from "../../resolve";
import { setToFit, type Paragraph } from "../../type";
import { isAlone } from "../structure/parts";
import type { Stage } from "../structure/stage";
import { platePad } from "./block";

/** A size that only few need is not the size of all. */
const FEW = 0.1;
/** Nor one that some need, where all others can be so much larger: one long word does not make a set small. By eye. */
const SOME = 1 / 3;
const MUCH_LARGER = 1.4;
/** Sizes that differ by less are equal. */
const SAME_SIZE = 0.999;

/** A size that words can have, and how many have it. */
export interface SizeOfSome {
  size: number;
  count: number;
}

/**
 * The size that all can have but a few, or those that would make all others much smaller or hard to read; undefined of none.
 * From `easy` on it is read without effort.
 */
export function nearlyAll(sizes: readonly SizeOfSome[], easy: number): number | undefined {
  const sorted = [...sizes].sort((a, b) => a.size - b.size);
  const total = sorted.reduce((sum, { count }) => sum + count, 0);
  let left = 0;
  return sorted.find(({ size, count }, at) => {
    left += count;
    const larger = sorted[at + 1]?.size ?? size;
    const isWorthIt = larger >= MUCH_LARGER * size || (size < easy && larger >= SAME_SIZE * easy);
    return left > (isWorthIt ? SOME : FEW) * total;
  })?.size;
}

/** What a headline takes of the room for words where others stand with it, as a share of its height, in lines at the most. By eye. */
const ROOM = 0.5;
const MOST_LINES = 5;
/** Where they may be no larger, one may have a better break at a smaller size: sizes are looked for so often at most. */
const PASSES = 3;

/** A headline that stands alone, or asks for something, is so much larger than others of its set at the most. By eye. */
const STATEMENT = 1.6;

/** No larger is the headline, so that it is as large as others of a set; whatever there is room for where there are none. */
export function mostHeadline(stage: Stage): number {
  const { headline, cta } = stage.parts;
  if (!headline?.headlines) return Infinity;
  const common = stage.once(headline.headlines, [], () => commonSize(headline, stage));
  return isAlone(stage.parts) || cta ? STATEMENT * common : common;
}

/** What nearly all of a set could have over some other words, in a room that is the same for all of them. */
function commonSize(headline: TextNode, { placement, safe, floor }: Stage): number {
  const { headlines = [] } = headline;
  const { width, height } = intersect(keptArea(placement, "headline"), safe);
  const pad = platePad(headline);
  const fit = { width, height: ROOM * height, min: floor, mostLines: MOST_LINES, pad };
  let common = Infinity;
  for (let pass = 0; pass < PASSES; pass++) {
    const max = Math.min(common, height);
    const sizes = headlines.map((one) => ({ size: sizeIn(one, { ...fit, max }), count: 1 }));
    const next = nearlyAll(sizes, 0);
    if (next === undefined || next >= SAME_SIZE * common) break;
    common = next;
  }
  return common;
}

type Fit = Parameters<typeof setToFit>[1];

/** Every slide of a strip asks for the sizes of all of them. */
const known = new WeakMap<Paragraph, Map<string, number>>();

function sizeIn(paragraph: Paragraph, fit: Fit): number {
  let sizes = known.get(paragraph);
  if (!sizes) known.set(paragraph, (sizes = new Map()));
  const key = [fit.width, fit.height, fit.min, fit.max, fit.pad].join("|");
  let size = sizes.get(key);
  if (size === undefined) {
    const mostLines = Math.min(fit.mostLines, linesOf(paragraph));
    size = setToFit(paragraph, { ...fit, mostLines })?.size ?? fit.min;
    sizes.set(key, size);
  }
  return size;
}

/** Where one is as good as another of its set, only one word is parted, and once. */
export const linesOf = ({ text }: Paragraph): number => 1 + text.trim().split(/\s+/).length;
