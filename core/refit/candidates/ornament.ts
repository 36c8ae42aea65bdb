import { area, between, bottom, box, centre, contains, right, type Box } from "../../geometry";
import { isPattern, keepsRatio } from "../../shape";
import type { ShapeNode } from "../../resolve";
import type { Draft } from "./draft";
import type { Parts } from "../structure/parts";
import type { Stage } from "../structure/stage";
import { roomIn, wordLayouts } from "../words/words";

/** An ornament that rises from an edge of the frame is at least this share of its height. */
const LEAST_RISE = 0.16;
/** One that hangs over the edge shows about half of itself, and this share of the frame's side at the most. */
const MOST_SPAN = 0.92;

/** A pattern fills what the words leave; anything else belongs to the frame's edge that it touches, or stands free. */
export const belongsToEdge = (stage: Stage, { box: at, shape }: ShapeNode): boolean =>
  !isPattern(shape.kind) && bottom(at) >= stage.lead.height - 1;

/** Words from the top, and below all of them what rises from the frame's foot. */
export function* ornamentBelow(stage: Stage, parts: Parts, size: number): Generator<Draft> {
  const { ornament, photos } = parts;
  if (!ornament || photos.length > 0 || isEmblem(ornament) || !belongsToEdge(stage, ornament))
    return;
  const { kept, frame } = stage;
  const height = Math.min(kept.height, (1 - LEAST_RISE) * frame.height - kept.y - stage.padding);
  for (const [name, words] of overOrnament(stage, size)) {
    const block = wordLayouts[name](roomIn(stage, parts, { ...kept, height }, words));
    if (!block) continue;
    const top = kept.y + block.height + stage.padding;
    yield {
      layoutId: { kind: "ornament-below", words: name },
      parts,
      words: block.place(
        kept.x + (stage.align === 0.5 ? (kept.width - block.width) / 2 : 0),
        kept.y,
      ),
      media: between(0, top, frame.width, frame.height),
      change: stage.isWide ? 2 : 0,
    };
  }
}

/** An ornament is what the words leave, so they need not be small for it. */
const overOrnament = (stage: Stage, size: number) =>
  (["stack", "foot-line"] as const).flatMap((name) =>
    stage.sizesAlone(size).map((words) => [name, words] as const),
  );

/** Where an ornament stands in the area that the words leave it. What is round is not stretched. */
export function ornamentIn(stage: Stage, ornament: ShapeNode, area: Box): Box {
  if (!keepsRatio(ornament.shape.kind)) return area;
  const ratio = ornament.box.width / ornament.box.height;
  const hangs = !contains(stage.lead, ornament.box);
  return hangs ? hanging(stage.frame, area, ratio) : standing(area, ratio);
}

/** As large as the area holds, in its middle. */
function standing(area: Box, ratio: number): Box {
  const width = Math.min(area.width, area.height * ratio);
  const { x, y } = centre(area);
  return box(x - width / 2, y - width / ratio / 2, width, width / ratio);
}

/** Cut by the frame's edge: half of it is seen below words or beside them. */
function hanging(frame: Box, area: Box, ratio: number): Box {
  const { x, y } = centre(area);
  if (area.width >= frame.width - 1) {
    const width = Math.min(MOST_SPAN * area.width, 2 * area.height * ratio);
    const top = area.y <= frame.y ? bottom(area) - width / ratio : area.y;
    return box(x - width / 2, top, width, width / ratio);
  }
  const height = Math.min(MOST_SPAN * area.height, (2 * area.width) / ratio);
  const atRight = right(area) >= right(frame) - 1;
  const left = atRight ? area.x : right(area) - height * ratio;
  return box(left, y - height / 2, height * ratio, height);
}

/** An emblem behind words shows this much of itself, and is cut by the frame's corner. By eye, after work by hand. */
const EMBLEM = { extent: 0.62, bare: 1.1, shown: 0.78 } as const;
const BARE = 0.25;

export const isEmblem = ({ shape }: ShapeNode): boolean => shape.kind === "emblem";

/** The brand's mark in the lower right corner, where reading ends, as large as a headline and calm under it. */
export function emblemBehind({ frame, kept, extent }: Stage, { emblem }: ShapeNode): Box {
  const ratio = emblem ? emblem.art.width / emblem.art.height : 1;
  // Where little of the frame may hold words, the mark is what the rest is for.
  const share = area(kept) < BARE * area(frame) ? EMBLEM.bare : EMBLEM.extent;
  const height = Math.min(
    (share * extent) / Math.sqrt(ratio),
    1.1 * frame.height,
    (1.1 * frame.width) / ratio,
  );
  const width = height * ratio;
  return box(
    right(frame) - EMBLEM.shown * width,
    bottom(frame) - EMBLEM.shown * height,
    width,
    height,
  );
}

/** What is this much higher than its words may stand is decorated over and under them. */
const LEAST_BAND = 0.18;

/** The bands over and under the part of a frame that every screen shows, where there is much of them. */
export function bandsAround({
  frame,
  kept,
  padding,
}: Stage): Pick<Draft, "media" | "mediaAlso"> | undefined {
  const above = between(0, 0, frame.width, kept.y - padding);
  const below = between(0, bottom(kept) + padding, frame.width, frame.height);
  const least = LEAST_BAND * frame.height;
  return above.height < least || below.height < least
    ? undefined
    : { media: below, mediaAlso: above };
}

/** What may take room from the words: not a mark behind them, nor what stands round the part that every screen shows. */
export function takingRoom(stage: Stage): Parts {
  const { ornament, ...rest } = stage.parts;
  return ornament && (isEmblem(ornament) || bandsAround(stage)) ? rest : stage.parts;
}
