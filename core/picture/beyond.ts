import { box, centre, type Box } from "../geometry";
import type { Subject } from "./subject";
import type { Stretch } from "./window";

/** Air around a thing that is shown on its own ground, as a share of its sides. By eye. */
const AIR = 0.1;

/**
 * The part of a picture on flat ground that fills `frame` and has the subject whole, with air, inside `room`, a part of
 * the frame; both in output pixels. It may reach beyond the picture, whose ground goes on there, but does so only where
 * the subject would not be whole otherwise.
 */
export function cropBeyond(
  picture: { width: number; height: number },
  frame: Box,
  { box: all }: Subject,
  room: Box,
): Box {
  const covering = Math.min(picture.width / frame.width, picture.height / frame.height);
  const wide = ((1 + 2 * AIR) * all.width) / room.width;
  const high = ((1 + 2 * AIR) * all.height) / room.height;
  // Picture pixels for each output pixel.
  const scale = Math.max(covering, wide, high);
  const [target, middle] = [centre(room), centre(all)];
  const x = along(
    { start: middle.x - (target.x - frame.x) * scale, length: frame.width * scale },
    picture.width,
    { start: all.x, length: all.width },
    { start: (room.x - frame.x) * scale, length: room.width * scale },
  );
  const y = along(
    { start: middle.y - (target.y - frame.y) * scale, length: frame.height * scale },
    picture.height,
    { start: all.y, length: all.height },
    { start: (room.y - frame.y) * scale, length: room.height * scale },
  );
  return box(x, y, frame.width * scale, frame.height * scale);
}

/** Where what is seen starts on one axis: inside the picture as long as the subject stays in its room there. */
function along(view: Stretch, whole: number, subject: Stretch, room: Stretch): number {
  if (view.length > whole) return view.start;
  const inside = Math.min(Math.max(0, view.start), whole - view.length);
  const from = subject.start - inside;
  const isInRoom = from >= room.start && from + subject.length <= room.start + room.length;
  return isInRoom ? inside : view.start;
}
