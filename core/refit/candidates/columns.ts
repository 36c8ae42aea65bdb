import { between, bottom, right, type Box } from "../../geometry";
import type { Draft } from "./draft";
import { hasMedia, type Parts } from "../structure/parts";
import type { Stage } from "../structure/stage";
import { wideLayouts } from "../words/wide";
import { roomIn, wordLayouts } from "../words/words";

/** Shares of the frame's width that the words may take. */
const SHARES = [0.38, 0.46, 0.54, 0.64, 0.76];
/** From this share on, words may stand in columns of their own. */
const LEAST_BESIDE = 0.6;
const LEFT = ["left"] as const;
const BOTH = ["left", "right"] as const;
const layouts = { ...wordLayouts, ...wideLayouts };
const NARROW = ["head-and-foot", "stack"] as const;
const BROAD = [...NARROW, "two-columns", "beside-the-headline"] as const;

/** In a frame wider than this, a strip does better. */
const MOST_RATIO = 4.2;
/** A picture narrower than this share of the frame is a sliver. */
const LEAST_MEDIA = 0.18;

/** Rows become columns: words on one side, the picture bleeding off the three other edges. */
export function* columns(stage: Stage, parts: Parts, size: number): Generator<Draft> {
  const { kept, frame } = stage;
  if (!isForColumns(stage, parts)) return;
  // Words that a crop pushes far in from the left leave a hole there, which a picture fills.
  const indented = kept.x > 0.16 * frame.width;
  /** A wider region that gives the same block gives nothing new. */
  const widths = new Set<number>();
  for (const share of SHARES) {
    const width = Math.min(kept.width, share * frame.width);
    const region = between(kept.x, kept.y, kept.x + width, stage.bottomEdge);
    for (const name of share < LEAST_BESIDE ? NARROW : BROAD) {
      const block = layouts[name](roomIn(stage, parts, region, size));
      if (!block || widths.has(block.width)) continue;
      widths.add(block.width);
      const y = name !== "head-and-foot" ? region.y + (region.height - block.height) / 2 : region.y;
      // Reading starts on the left, so words on the right need a reason.
      for (const side of parts.photos.length > 0 || indented ? BOTH : LEFT) {
        const x = side === "left" ? kept.x : right(kept) - block.width;
        const media = mediaBeside(stage, side, x, block.width);
        if (media.width < LEAST_MEDIA * frame.width) continue;
        const draft = {
          layoutId: { kind: `words-${side}` as const },
          parts,
          words: block.place(x, y),
          media,
          change: side === "right" ? 1.5 : indented ? 2 : 1,
        };
        yield draft;
        const standing = onTheFloor(stage, parts, media);
        if (standing) {
          const layoutId = { ...draft.layoutId, place: "floor" as const };
          yield { ...draft, layoutId, media: standing };
        }
      }
    }
  }
}

export const isForColumns = ({ frame }: Stage, parts: Parts): boolean =>
  hasMedia(parts) && frame.width <= MOST_RATIO * frame.height;

/** What words of that width leave on their other side, up to the frame's edges. */
const mediaBeside = (
  { frame, padding }: Stage,
  side: "left" | "right",
  x: number,
  width: number,
): Box =>
  side === "left"
    ? between(x + width + padding, 0, frame.width, frame.height)
    : between(0, 0, x - padding, frame.height);

/** A standing picture is at least this share of the frame's height. */
export const LEAST_STANDING = 0.56;
/** A subject that takes this share of its picture's width is what the picture is. */
const WIDE_SUBJECT = 0.5;
/** And so wide a share of its width. */
export const LEAST_STANDING_WIDTH = 0.34;

/**
 * A subject too wide for the whole height of a column stands at its foot, in an area as high as shows it uncut;
 * undefined where the column shows it anyway.
 */
function onTheFloor(stage: Stage, { photos }: Parts, media: Box): Box | undefined {
  const [photo, ...others] = photos;
  const narrow = media.width < LEAST_STANDING_WIDTH * stage.frame.width;
  if (!photo || others.length > 0 || narrow) return undefined;
  const {
    file,
    subject: { box: subject },
  } = photo;
  if (subject.width < WIDE_SUBJECT * file.width) return undefined;
  const height = (media.width * file.height) / subject.width;
  if (height >= media.height || height < LEAST_STANDING * stage.frame.height) return undefined;
  return between(media.x, bottom(media) - height, right(media), bottom(media));
}
