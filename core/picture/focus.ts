import type { Focus } from "../files";
import { box, type Box } from "../geometry";

/** Half the side of the area around a focus point that counts as the subject, as a share of the picture. */
const FOCUS_REACH = 0.12;

/** The area that a focus stands for, in picture pixels; about the middle when none is set. */
export function focusArea(
  file: { width: number; height: number },
  focus: Focus = { x: 0.5, y: 0.5 },
): Box {
  const width = (focus.width ?? FOCUS_REACH * 2) * file.width;
  const height = (focus.height ?? FOCUS_REACH * 2) * file.height;
  const clamp = (value: number, most: number) => Math.min(Math.max(0, value), most);
  return box(
    clamp(focus.x * file.width - width / 2, file.width - width),
    clamp(focus.y * file.height - height / 2, file.height - height),
    width,
    height,
  );
}
