import { area, intersect, type Box } from "../geometry";
import { seenInFrame, shareShown, type Part } from "../picture";
import { LEAST_SUBJECT_SHOWN, MOST_SUBJECT_COVERED, MOST_SUBJECT_OUT } from "../rules";
import { outlineOf, shareInside, type ShapeSpec } from "../shape";
import type { Placed } from "./layout";

/** A part of a placed picture's subject: the share of it that its crop and its frame's shape show, and where. */
export interface SeenPart {
  part: Part;
  shown: number;
  /** In output pixels. */
  box: Box;
}

/** How the parts of a picture's subject are seen; none for a picture that nothing was found in, or that is seen whole. */
export function seenParts({ node, crop, box: at }: Placed): SeenPart[] {
  if (node.type !== "picture" || !crop || node.framing.fit === "contain") return [];
  const outline = node.frame && cuts(node.frame) ? outlineIn(node.frame, at) : undefined;
  return node.subject.parts.map((part) => {
    const box = seenInFrame(crop, part.box, at);
    const inCrop = shareShown(crop, part.box);
    const inShape = outline && inCrop > 0 ? shareInside(outline, box) : 1;
    return { part, shown: inCrop * inShape, box };
  });
}

/** A frame of this shape hides some of the picture in its box. */
export const cuts = ({ kind }: ShapeSpec): boolean => kind !== "rectangle" && kind !== "path";

const outlineIn = (frame: ShapeSpec, at: Box): string =>
  outlineOf(frame, at, Math.sqrt(Math.max(1, area(at))));

/** Seen neither whole nor not at all. */
export const isCut = ({ shown }: SeenPart): boolean =>
  shown > MOST_SUBJECT_OUT && shown < LEAST_SUBJECT_SHOWN;

export const isWhole = ({ shown }: SeenPart): boolean => shown >= LEAST_SUBJECT_SHOWN;

/** Where the parts stand that are seen at all, in output pixels. */
export const seenBoxes = (item: Placed): Box[] =>
  seenParts(item)
    .filter(({ shown }) => shown > MOST_SUBJECT_OUT)
    .map(({ box }) => box);

/** The share of the part that is most covered by one of these, 0..1; 0 where that cannot be seen. */
export function mostCovered(parts: readonly Box[], covering: readonly Box[]): number {
  const shares = parts.flatMap((part) =>
    covering.map((other) => area(intersect(other, part)) / Math.max(1, area(part))),
  );
  const most = Math.max(0, ...shares);
  return most > MOST_SUBJECT_COVERED ? Math.min(1, most) : 0;
}
