import { area, box, centre, contains, intersect, type Box, type Point } from "../geometry";

/** How a picture stands in its frame beyond what its focus asks for; the document's `Framing` says how each is counted. */
export interface Placing {
  zoom: number;
  panX: number;
  panY: number;
  turn: number;
}

const PLAIN: Placing = { zoom: 1, panX: 0, panY: 0, turn: 0 };

/**
 * The part of a picture that fills a frame of the given shape without stretching, in picture pixels.
 * The focus area is kept whole where it fits, and the frame then opens towards the picture's middle,
 * so that a subject near the edge does not drag the crop further than it has to.
 * A turned picture is shown larger, so that its frame is filled to the corners.
 */
export function cropTo(
  picture: { width: number; height: number },
  frame: { width: number; height: number },
  focus: Box,
  { zoom, panX, panY, turn }: Placing = PLAIN,
): Box {
  const reach = turnedReach(frame, turn);
  const scale = Math.max(reach.width / picture.width, reach.height / picture.height) * zoom;
  const wide = along(picture.width, reach.width / scale, focus.x, focus.width, panX);
  const high = along(picture.height, reach.height / scale, focus.y, focus.height, panY);
  const [width, height] = [frame.width / scale, frame.height / scale];
  return box(
    wide + (reach.width / scale - width) / 2,
    high + (reach.height / scale - height) / 2,
    width,
    height,
  );
}

/** How an upright picture stands in a frame when it shows a given crop: the inverse of `cropTo`. */
export function placingOf(
  picture: { width: number; height: number },
  frame: { width: number; height: number },
  focus: Box,
  crop: Box,
): Placing {
  const cover = Math.max(frame.width / picture.width, frame.height / picture.height);
  const zoom = Math.max(1, frame.width / cover / crop.width);
  const plain = cropTo(picture, frame, focus, { ...PLAIN, zoom });
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
  focus: Box,
  crop: Box,
  by: Point,
): Placing {
  const within = (value: number, most: number) => Math.min(Math.max(0, value), Math.max(0, most));
  const x = within(crop.x - by.x, picture.width - crop.width);
  const y = within(crop.y - by.y, picture.height - crop.height);
  return placingOf(picture, frame, focus, { ...crop, x, y });
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
  focus: Box,
  room: Box,
  framing: Placing = PLAIN,
): Box {
  if (framing.turn !== 0 || framing.panX !== 0 || framing.panY !== 0)
    return cropTo(picture, frame, focus, framing);
  const cover = Math.max(frame.width / picture.width, frame.height / picture.height);
  const [target, middle] = [centre(room), centre(focus)];
  let best: { crop: Box; shown: number } | undefined;
  for (let zoom = framing.zoom; zoom <= framing.zoom * MOST_ZOOM + 1e-9; zoom += ZOOM_STEP) {
    const scale = cover * zoom;
    const [width, height] = [frame.width / scale, frame.height / scale];
    const within = (value: number, most: number) => Math.min(Math.max(0, value), most);
    const crop = box(
      within(middle.x - (target.x - frame.x) / scale, picture.width - width),
      within(middle.y - (target.y - frame.y) / scale, picture.height - height),
      width,
      height,
    );
    const seen = focusInFrame(crop, focus, frame);
    const inRoom = area(intersect(seen, room)) / Math.max(1e-9, area(focus) * scale * scale);
    if (inRoom > (best?.shown ?? -1) + 0.02) best = { crop, shown: inRoom };
    if (inRoom > 0.999) break;
  }
  return best!.crop;
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

/** Where the window starts on one axis; `pan` moves it from there, −1 all the way to the start, 1 to the end. */
function along(
  whole: number,
  window: number,
  focusStart: number,
  focusLength: number,
  pan: number,
): number {
  const room = whole - window;
  if (room <= 0) return 0;
  const middle = focusStart + focusLength / 2;
  // A subject that fits is centred; one that does not shows its middle.
  const start = Math.min(Math.max(0, middle - window / 2), room);
  return pan < 0 ? start * (1 + pan) : start + (room - start) * pan;
}

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

/** The share of the focus area that the crop shows, 0..1. */
export const focusShown = (crop: Box, focus: Box): number =>
  contains(crop, focus) || area(focus) === 0 ? 1 : area(intersect(crop, focus)) / area(focus);

/** Where the focus area lies in the frame that shows the crop, in the frame's pixels. */
export function focusInFrame(crop: Box, focus: Box, frame: Box): Box {
  const scale = frame.width / crop.width;
  const seen = intersect(crop, focus);
  return box(
    frame.x + (seen.x - crop.x) * scale,
    frame.y + (seen.y - crop.y) * scale,
    seen.width * scale,
    seen.height * scale,
  );
}
