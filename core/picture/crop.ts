import { area, box, centre, intersect, type Box, type Point } from "../geometry";
import type { Subject } from "./subject";
import { windowOn } from "./window";

/** How a picture stands in its frame beyond what its subject asks for; the document's `Framing` says how each is counted. */
export interface Placing {
  zoom: number;
  panX: number;
  panY: number;
  turn: number;
}

const PLAIN: Placing = { zoom: 1, panX: 0, panY: 0, turn: 0 };

/**
 * The part of a picture that fills a frame of the given shape without stretching, in picture pixels. The subject stands
 * in its middle where it fits; where it does not, as many of its parts as can be are whole and none is cut through.
 * A turned picture is shown larger, so that its frame is filled to the corners.
 */
export function cropTo(
  picture: { width: number; height: number },
  frame: { width: number; height: number },
  { box: all, parts }: Subject,
  { zoom, panX, panY, turn }: Placing = PLAIN,
): Box {
  const reach = turnedReach(frame, turn);
  const scale = Math.max(reach.width / picture.width, reach.height / picture.height) * zoom;
  const [wide, high] = [reach.width / scale, reach.height / scale];
  const across = parts.map(({ box: b, weight }) => ({ start: b.x, length: b.width, weight }));
  const down = parts.map(({ box: b, weight }) => ({ start: b.y, length: b.height, weight }));
  const x = windowOn(picture.width, wide, { start: all.x, length: all.width }, across);
  const y = windowOn(picture.height, high, { start: all.y, length: all.height }, down);
  const [width, height] = [frame.width / scale, frame.height / scale];
  return box(
    panned(x, picture.width - wide, panX) + (wide - width) / 2,
    panned(y, picture.height - high, panY) + (high - height) / 2,
    width,
    height,
  );
}

/** How an upright picture stands in a frame when it shows a given crop: the inverse of `cropTo`. */
export function placingOf(
  picture: { width: number; height: number },
  frame: { width: number; height: number },
  subject: Subject,
  crop: Box,
): Placing {
  const cover = Math.max(frame.width / picture.width, frame.height / picture.height);
  const zoom = Math.max(1, frame.width / cover / crop.width);
  const plain = cropTo(picture, frame, subject, { ...PLAIN, zoom });
  return {
    zoom,
    panX: panOf(plain.x, crop.x, picture.width - crop.width),
    panY: panOf(plain.y, crop.y, picture.height - crop.height),
    turn: 0,
  };
}

/** How an upright picture stands when what it shows is moved by picture pixels; its frame stays covered. */
export function movedIn(
  picture: { width: number; height: number },
  frame: { width: number; height: number },
  subject: Subject,
  crop: Box,
  by: Point,
): Placing {
  const within = (value: number, most: number) => Math.min(Math.max(0, value), Math.max(0, most));
  const x = within(crop.x - by.x, picture.width - crop.width);
  const y = within(crop.y - by.y, picture.height - crop.height);
  return placingOf(picture, frame, subject, { ...crop, x, y });
}

function panOf(start: number, wanted: number, room: number): number {
  const way = wanted < start ? start : room - start;
  return Math.abs(wanted - start) < 1e-6 || way <= 0
    ? 0
    : Math.min(1, Math.max(-1, (wanted - start) / way));
}

/** A picture is enlarged by no more than this to bring its subject clear of words. By eye. */
const MOST_ZOOM = 1.5;
const ZOOM_STEP = 0.1;

/**
 * As `cropTo`, with the subject brought into `room`, a part of the frame that words leave free: enlarged by
 * the least that gives the crop a way to go there. `frame` and `room` are in output pixels.
 */
export function cropBeside(
  picture: { width: number; height: number },
  frame: Box,
  subject: Subject,
  room: Box,
  framing: Placing = PLAIN,
): Box {
  if (framing.turn !== 0 || framing.panX !== 0 || framing.panY !== 0)
    return cropTo(picture, frame, subject, framing);
  const cover = Math.max(frame.width / picture.width, frame.height / picture.height);
  const [target, middle] = [centre(room), centre(subject.box)];
  const plain = cropTo(picture, frame, subject, framing);
  let best = { crop: plain, worth: worthIn(room, plain, subject, frame) };
  for (let zoom = framing.zoom; zoom <= framing.zoom * MOST_ZOOM + 1e-9; zoom += ZOOM_STEP) {
    if (best.worth > ALL_BUT_WHOLE) break;
    const scale = cover * zoom;
    const [width, height] = [frame.width / scale, frame.height / scale];
    const within = (value: number, most: number) => Math.min(Math.max(0, value), most);
    const crop = box(
      within(middle.x - (target.x - frame.x) / scale, picture.width - width),
      within(middle.y - (target.y - frame.y) / scale, picture.height - height),
      width,
      height,
    );
    const worth = worthIn(room, crop, subject, frame);
    if (worth > best.worth + 0.02) best = { crop, worth };
  }
  return best.crop;
}

const ALL_BUT_WHOLE = 0.999;

/** The share of the subject that a crop shows in a room of the frame, 0..1. */
function worthIn(room: Box, crop: Box, { box: all }: Subject, frame: Box): number {
  const scale = frame.width / crop.width;
  const seen = seenInFrame(crop, all, frame);
  return area(intersect(seen, room)) / Math.max(1e-9, area(all) * scale * scale);
}

/** The upright box around a frame that is turned. */
function turnedReach(frame: { width: number; height: number }, turn: number) {
  const radians = (turn * Math.PI) / 180;
  const [cos, sin] = [Math.abs(Math.cos(radians)), Math.abs(Math.sin(radians))];
  return {
    width: frame.width * cos + frame.height * sin,
    height: frame.width * sin + frame.height * cos,
  };
}

/** `pan` moves a window from where it stands, −1 all the way to the start, 1 to the end of its room. */
const panned = (start: number, room: number, pan: number): number =>
  pan < 0 ? start * (1 + pan) : start + (Math.max(0, room) - start) * pan;

/** The largest box of the picture's shape inside a frame, in its middle: the whole picture is seen. */
export function containedIn(picture: { width: number; height: number }, frame: Box): Box {
  const scale = Math.min(frame.width / picture.width, frame.height / picture.height);
  const [width, height] = [picture.width * scale, picture.height * scale];
  return box(
    frame.x + (frame.width - width) / 2,
    frame.y + (frame.height - height) / 2,
    width,
    height,
  );
}

/** What is seen of a part of the picture in the frame that shows the crop, in the frame's pixels. */
export function seenInFrame(crop: Box, part: Box, frame: Box): Box {
  const scale = frame.width / crop.width;
  const seen = intersect(crop, part);
  return box(
    frame.x + (seen.x - crop.x) * scale,
    frame.y + (seen.y - crop.y) * scale,
    seen.width * scale,
    seen.height * scale,
  );
}
