import { area, box, contains, intersect, type Box } from "../geometry";

/**
 * The part of a picture that fills a frame of the given shape without stretching, in picture pixels.
 * The focus area is kept whole where it fits, and the frame then opens towards the picture's middle,
 * so that a subject near the edge does not drag the crop further than it has to.
 */
export function cropTo(
  picture: { width: number; height: number },
  frame: { width: number; height: number },
  focus: Box,
): Box {
  const scale = Math.max(frame.width / picture.width, frame.height / picture.height);
  const width = frame.width / scale;
  const height = frame.height / scale;
  return box(
    along(picture.width, width, focus.x, focus.width),
    along(picture.height, height, focus.y, focus.height),
    width,
    height,
  );
}

/** Where the window starts on one axis. */
function along(whole: number, window: number, focusStart: number, focusLength: number): number {
  const room = whole - window;
  if (room <= 0) return 0;
  const middle = focusStart + focusLength / 2;
  // A subject that fits is centred; one that does not shows its middle.
  return Math.min(Math.max(0, middle - window / 2), room);
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
