import { area, box, hullOf, intersect, right } from "../../geometry";
import { toneOf } from "../../picture";
import type { PictureNode } from "../../resolve";
import type { Draft } from "../candidates/draft";
import { inPicture } from "../pictures/ground";
import type { Placed } from "../layout";
import {
  holdsSubject,
  missed,
  mostCovered,
  seenBoxes,
  seenParts,
  softBoxes,
} from "../pictures/subjects";

/*
 * What a layout's pictures cost: that a subject is cut, lost or covered, that a picture shows less than it could, that words
 * stand on a busy part of it. Terms of `Costing`; all weights are ours, set by eye.
 */

/** A subject that is cut, lost or covered costs more than leaving out the picture and all else. */
const CUT = 8;
const COVERED = 8;
/** Where a thing ends is a guess: cut, it costs less than leaving out its picture, and in a collage it is one of some. */
const CUT_GUESS = 6;
/** What it costs to cover all of the middle of a landscape, or the like. */
const SOFT_COVERED = 6;
/** Of a group, what each person costs that is out of the picture, as a share of them all. */
const SOME_OUT = 5;

/** A subject of which a part is cut, none is whole, or that words lie on. */
export function subjectCost(draft: Draft, placed: Placed[]): number {
  const photos = placed.filter(isPhoto);
  const guessed = photos.filter((photo) => !isCertain(photo) && !holdsSubject(photo));
  const costs = photos.map(
    (photo) =>
      (isCertain(photo) && !holdsSubject(photo) ? CUT : 0) + coveredCost(draft, photo, placed),
  );
  return Math.max(0, ...costs) + (CUT_GUESS * guessed.length) / Math.max(1, photos.length);
}

const isCertain = (photo: Placed): boolean => seenParts(photo).some(({ part }) => part.certain);

const isPhoto = ({ node }: Placed): boolean => node.type === "picture";

function coveredCost({ over }: Draft, photo: Placed, placed: Placed[]): number {
  if (!over) return 0;
  const covers = (item: Placed) =>
    item !== photo && item.node.role !== "backdrop" && item.node.role !== "ornament";
  const covering = placed.filter(covers).map((item) => item.box);
  const share = mostCovered(seenBoxes(photo), covering);
  const soft = mostCovered(softBoxes(photo), covering);
  return (share > 0 ? COVERED + 4 * share : 0) + SOFT_COVERED * soft;
}

/** What words cost on a part of a picture whose grey values spread by one. By eye. */
const BUSY = 2;
/** A ground of no more spread than this is calm: spread of grey values, 0..1. By eye. */
const CALM = 0.08;

/** How busy the picture is behind words that stand on it; a plate of their own calms it. */
export function busyBehind({ over, plate }: Draft, placed: Placed[]): number {
  const photo = over && !plate ? placed.find(isPhoto) : undefined;
  if (photo?.node.type !== "picture" || !photo.crop) return 0;
  const { node, box: at, crop } = photo;
  const inks = placed.flatMap(({ text }) => (text ? [intersect(text.ink, at)] : []));
  const on = inks.filter((ink) => area(ink) > 0);
  if (on.length === 0) return 0;
  const { busy } = toneOf(node.file, inPicture(hullOf(on), at, crop), node.adjust);
  return BUSY * Math.max(0, busy - CALM);
}

/** What it costs that a picture takes up less than the area it could fill, or has not the shape it was given. By eye. */
const SMALLER = 4;
const UNSHAPED = 0.6;

/** A picture with some of its subject out, or that stands whole or in a plain frame so that none of it is cut. */
export function pictureCost(draft: Draft, placed: Placed[]): number {
  const { media, over, parts } = draft;
  const photos = placed.filter(isPhoto);
  // What lies under words fills the frame, whatever its shape.
  const cropped = over ? 0 : CROPPED;
  const lost = photos.map(
    (photo) =>
      SOME_OUT * missed(photo) + cropped * croppedAway(photo) + BEYOND * groundShown(photo),
  );
  const out = sum(lost) / Math.max(1, photos.length) + LOOKING_AWAY * lookingAway(draft, photos);
  if (!media || over || photos.length === 0) return out;
  const filled = sum(photos.map(({ box: at }) => area(at))) / Math.max(1, area(media));
  const unshaped = photos.some(({ node }) => !parts.photos.includes(node as PictureNode));
  return out + SMALLER * Math.max(0, FILLED - filled) + (unshaped ? UNSHAPED : 0);
}

/** What it costs that somebody beside the words looks all away from them, out of the frame. Common practice; by eye. */
const LOOKING_AWAY = 0.7;

/** How far the one picture beside some words looks away from them, 0..1. */
function lookingAway({ words }: Draft, [photo, ...others]: Placed[]): number {
  if (photo?.node.type !== "picture" || others.length > 0 || words.length === 0) return 0;
  const taken = hullOf(words.map((item) => item.box));
  const { look = 0 } = photo.node.subject;
  if (right(taken) <= photo.box.x) return Math.max(0, look);
  return right(photo.box) <= taken.x ? Math.max(0, -look) : 0;
}

/** What it costs to crop all of a picture away: its own shape has a say in where it stands. By eye. */
const CROPPED = 1.2;

/** The share of a picture that is not seen; nothing of a pattern is missed. */
function croppedAway({ node, crop }: Placed): number {
  if (node.type !== "picture" || !crop || node.subject.parts.length === 0) return 0;
  const { width, height } = node.file;
  return 1 - area(intersect(crop, box(0, 0, width, height))) / (width * height);
}

/** What it costs that all of a frame is the ground beyond its picture: a wide thing is small in an upright one. By eye. */
const BEYOND = 2.5;

/** The share of what is shown that lies beyond the picture's edges. */
function groundShown({ node, crop, ground }: Placed): number {
  if (node.type !== "picture" || !crop || !ground) return 0;
  const { width, height } = node.file;
  return 1 - area(intersect(crop, box(0, 0, width, height))) / area(crop);
}

/** Gaps between pictures take the rest. */
const FILLED = 0.9;

const sum = (values: number[]): number => values.reduce((a, b) => a + b, 0);
