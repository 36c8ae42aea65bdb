import { area, contains, intersect, type Box } from "../../geometry";
import { isFirm, seenInFrame, shareShown, type Part } from "../../picture";
import { LEAST_SUBJECT_SHOWN, MOST_SUBJECT_COVERED, MOST_SUBJECT_OUT } from "../../rules";
import { innerBox, outlineOf, shareInside, type ShapeSpec } from "../../shape";
import type { Placed } from "../layout";

/** A part of a placed picture's subject: the share of it that its crop and its frame's shape show, and where. */
export interface SeenPart {
  part: Part;
  shown: number;
  /** In output pixels. */
  box: Box;
}

const cache = new WeakMap<Placed, SeenPart[]>();

/** How the parts of a picture's subject are seen; none for a picture that nothing was found in, or that is seen whole. */
export function seenParts(item: Placed): SeenPart[] {
  let seen = cache.get(item);
  if (!seen) cache.set(item, (seen = partsIn(item)));
  return seen;
}

function partsIn({ node, crop, box: at }: Placed): SeenPart[] {
  if (node.type !== "picture" || !crop || node.framing.fit === "contain") return [];
  const frame = node.frame && cuts(node.frame) ? node.frame : undefined;
  const inner = frame && innerBox(frame, at);
  const outline = frame && outlineIn(frame, at);
  return node.subject.parts.map((part) => {
    const box = seenInFrame(crop, part.box, at);
    const inCrop = shareShown(crop, part.box);
    const inShape =
      !outline || inCrop === 0 || (inner && contains(inner, box)) ? 1 : shareInside(outline, box);
    return { part, shown: inCrop * inShape, box };
  });
}

/** A frame of this shape hides some of the picture in its box. */
export const cuts = ({ kind }: ShapeSpec): boolean => kind !== "rectangle" && kind !== "path";

const outlineIn = (frame: ShapeSpec, at: Box): string =>
  outlineOf(frame, at, Math.sqrt(Math.max(1, area(at))));

/** Seen neither whole nor not at all, though it should be either. */
export const isCut = (seen: SeenPart): boolean =>
  isFirm(seen.part) && seen.shown > MOST_SUBJECT_OUT && !isWhole(seen);

export const isWhole = ({ part, shown }: SeenPart): boolean =>
  shown >= LEAST_SUBJECT_SHOWN[part.kind];

/** Whether no part is cut, and one at least is whole of those that are whole or out. */
export function holdsSubject(item: Placed): boolean {
  const firm = seenParts(item).filter(({ part }) => isFirm(part));
  return firm.length === 0 || (!firm.some(isCut) && firm.some(isWhole));
}

/** The share of a picture's subject that is not seen, by weight, 0..1. */
export function missed(photo: Placed): number {
  const sum = (values: number[]) => values.reduce((a, b) => a + b, 0);
  const seen = seenParts(photo);
  const all = sum(seen.map(({ part }) => part.weight));
  const out = sum(seen.map(({ part, shown }) => part.weight * (1 - shown)));
  return all === 0 ? 0 : out / all;
}

/** Where the parts stand that are seen and that nothing may lie on, in output pixels. */
export const seenBoxes = (item: Placed): Box[] => boxesOf(item, isFirm);

/** Where the parts stand that are rather kept than cut. */
export const softBoxes = (item: Placed): Box[] => boxesOf(item, (part) => !isFirm(part));

const boxesOf = (item: Placed, isMeant: (part: Part) => boolean): Box[] =>
  seenParts(item)
    .filter(({ part, shown }) => isMeant(part) && shown > MOST_SUBJECT_OUT)
    .map(({ box }) => box);

/** The share of the part that is most covered by one of these, 0..1; 0 where that cannot be seen. */
export function mostCovered(parts: readonly Box[], covering: readonly Box[]): number {
  const shares = parts.flatMap((part) =>
    covering.map((other) => area(intersect(other, part)) / Math.max(1, area(part))),
  );
  const most = Math.max(0, ...shares);
  return most > MOST_SUBJECT_COVERED ? Math.min(1, most) : 0;
}
