import { between, right } from "../geometry";
import { hasMedia, roomIn } from "./bands";
import type { Draft } from "./draft";
import type { Parts } from "./parts";
import type { Stage } from "./stage";
import { wordLayouts } from "./words";

/** Shares of the frame's width that the words may take. */
const SHARES = [0.38, 0.44, 0.5, 0.56, 0.64];

/** Wider than this, a strip does better. */
const MOST_RATIO = 3.6;
/** A picture narrower than this share of the frame is a sliver. */
const LEAST_MEDIA = 0.18;

/** Rows become columns: words on one side, the picture bleeding off the three other edges. */
export function* columns(stage: Stage, parts: Parts, size: number): Generator<Draft> {
  if (!hasMedia(parts) || stage.ratio > MOST_RATIO) return;
  const { kept, frame } = stage;
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
        yield {
          via: `words ${side} of the picture`,
          parts,
          words: block.place(x, y),
          media,
          change: (side === "left" ? 1 : 1.5) + (side === "left" && indented ? 1 : 0),
        };
      }
    }
  }
}
