import { between } from "../../geometry";
import { roomIn, wordLayouts } from "../words/words";
import type { Parts } from "../structure/parts";
import type { Stage } from "../structure/stage";
import { isForColumns, LEAST_STANDING, LEAST_STANDING_WIDTH } from "./columns";
import type { Draft } from "./draft";

/** A subject that takes this share of its picture's width is all of it: of a scene the corner would show a part. */
const ALL_SUBJECT = 0.8;
/** Narrower columns than this share of the frame's width hold no lines. */
const LEAST_COLUMN = 0.28;

/** The headline from margin to margin; below it the other words, and beside them the picture in the lower corner. */
export function* headlineAcross(stage: Stage, parts: Parts, size: number): Generator<Draft> {
  const { kept, frame, padding } = stage;
  const [photo, ...others] = parts.photos;
  if (!photo || others.length > 0 || !parts.headline) return;
  if (stage.align !== 0 || !isForColumns(stage, parts)) return;
  const { file, subject } = photo;
  const height = LEAST_STANDING * frame.height;
  const width = (height * subject.box.width) / file.height;
  if (subject.box.width < ALL_SUBJECT * file.width) return;
  if (width < LEAST_STANDING_WIDTH * frame.width) return;
  const media = between(frame.width - width, frame.height - height, frame.width, frame.height);
  const region = between(kept.x, kept.y, media.x - padding, stage.bottomEdge);
  if (region.width < LEAST_COLUMN * frame.width) return;
  const headAcross = { width: kept.width, height: media.y - padding - kept.y };
  const room = { ...roomIn(stage, parts, region, size), headAcross };
  const block = wordLayouts["head-and-foot"](room);
  // A headline that is no wider than its column is nothing new.
  if (!block || block.width <= region.width) return;
  const layoutId = { kind: "words-left", place: "headline-across" } as const;
  yield { layoutId, parts, words: block.place(region.x, region.y), media, change: 1 };
}
