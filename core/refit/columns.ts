import { between, bottom, right, type Box } from "../geometry";
import type { Draft } from "./draft";
import { hasMedia, type Parts } from "./parts";
import type { Stage } from "./stage";
import { roomIn, wordLayouts } from "./words";

/** Shares of the frame's width that the words may take. */
const SHARES = [0.38, 0.44, 0.5, 0.56, 0.64];

/** In a frame wider than this, a strip does better. */
const MOST_RATIO = 4.2;
/** A picture narrower than this share of the frame is a sliver. */
const LEAST_MEDIA = 0.18;

/** Rows become columns: words on one side, the picture bleeding off the three other edges. */
export function* columns(stage: Stage, parts: Parts, size: number): Generator<Draft> {
  const { kept, frame } = stage;
  if (!hasMedia(parts) || frame.width > MOST_RATIO * frame.height) return;
  // Words that a crop pushes far in from the left leave a hole there, which a picture fills.
  const indented = kept.x > 0.16 * frame.width;
  for (const share of SHARES) {
    const width = Math.min(kept.width, share * frame.width);
    const region = between(kept.x, kept.y, kept.x + width, stage.bottomEdge);
    for (const name of ["head and foot", "stack"] as const) {
      const block = wordLayouts[name](roomIn(stage, parts, region, size));
      if (!block) continue;
      const y = name === "stack" ? region.y + (region.height - block.height) / 2 : region.y;
      // Reading starts on the left, so words on the right need a reason.
      for (const side of ["left", "right"] as const) {
        const x = side === "left" ? kept.x : right(kept) - block.width;
        const media =
          side === "left"
            ? between(x + block.width + stage.padding, 0, frame.width, frame.height)
            : between(0, 0, x - stage.padding, frame.height);
        if (media.width < LEAST_MEDIA * frame.width) continue;
        const draft = {
          via: `words ${side} of the picture`,
          parts,
          words: block.place(x, y),
          media,
          change: (side === "left" ? 1 : 1.5) + (side === "left" && indented ? 1 : 0),
        };
        yield draft;
        const standing = onTheFloor(stage, parts, media);
        if (standing) yield { ...draft, via: `${draft.via}, on the floor`, media: standing };
      }
    }
  }
}

/** A standing picture is at least this share of the frame's height. */
const LEAST_STANDING = 0.56;
/** A subject that takes this share of its picture's width is what the picture is. */
const WIDE_SUBJECT = 0.5;
/** And so wide a share of its width. */
const LEAST_STANDING_WIDTH = 0.34;

/**
 * A subject too wide for the whole height of a column stands at its foot, in an area as high as shows it uncut;
 * undefined where the column shows it anyway.
 */
function onTheFloor(stage: Stage, { photos }: Parts, media: Box): Box | undefined {
  const [photo, ...others] = photos;
  const narrow = media.width < LEAST_STANDING_WIDTH * stage.frame.width;
  if (!photo || others.length > 0 || narrow) return undefined;
  const { file, focus } = photo;
  if (focus.width < WIDE_SUBJECT * file.width) return undefined;
  const height = (media.width * file.height) / focus.width;
  if (height >= media.height || height < LEAST_STANDING * stage.frame.height) return undefined;
  return between(media.x, bottom(media) - height, right(media), bottom(media));
}
