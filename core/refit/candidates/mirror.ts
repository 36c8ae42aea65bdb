import { between, box, right, type Box } from "../../geometry";
import type { Draft } from "./draft";
import type { Placed } from "../layout";
import type { Stage } from "../structure/stage";

/** A draft for words that share their right edge: everything about the middle of what the words may use. */
export function mirrored(stage: Stage, draft: Draft): Draft {
  const { kept, frame } = stage;
  const flip = (b: Box): Box => box(kept.x + right(kept) - right(b), b.y, b.width, b.height);
  /** A picture that reaches the frame's edge still does on the other side. */
  const flipMedia = (b: Box): Box => {
    const at = flip(b);
    const left = right(b) >= right(frame) - 1 ? frame.x : at.x;
    const far = b.x <= frame.x + 1 ? right(frame) : right(at);
    return between(Math.max(frame.x, left), at.y, Math.min(right(frame), far), at.y + at.height);
  };
  /** What the frame's corner cuts hangs over the other corner. */
  const flipInFrame = (b: Box): Box => ({ ...b, x: right(frame) - right(b) });
  const flipItem = (item: Placed): Placed => ({
    ...item,
    box: flip(item.box),
    ...(item.text ? { text: { ...item.text, ink: flip(item.text.ink) } } : {}),
  });
  return {
    ...draft,
    words: draft.words.map(flipItem),
    ...(draft.media ? { media: flipMedia(draft.media) } : {}),
    ...(draft.mediaAlso ? { mediaAlso: flipMedia(draft.mediaAlso) } : {}),
    ...(draft.plate ? { plate: flip(draft.plate) } : {}),
    ...(draft.behind ? { behind: flipInFrame(draft.behind) } : {}),
  };
}
