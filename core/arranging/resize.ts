import { box, centre, type Box, type Point } from "../geometry";

/** Which of its edges a handle moves: −1 the left or the top, 1 the right or the bottom, 0 neither. */
export interface Handle {
  x: -1 | 0 | 1;
  y: -1 | 0 | 1;
}

interface ResizeOptions {
  /** Width to height stays as it is. */
  proportional?: boolean;
  /** About the box's centre; else the opposite edge stays. */
  fromCentre?: boolean;
  /** Neither side becomes shorter, in pixels. */
  least?: number;
}

/** The box with one of its handles moved by so many pixels. */
export function resized(
  from: Box,
  handle: Handle,
  by: Point,
  { proportional = false, fromCentre = false, least = 1 }: ResizeOptions = {},
): Box {
  const times = fromCentre ? 2 : 1;
  let width = Math.max(least, from.width + handle.x * by.x * times);
  let height = Math.max(least, from.height + handle.y * by.y * times);
  if (proportional) {
    const ratio = from.width / from.height;
    const byWidth = handle.y === 0 || (handle.x !== 0 && width / from.width > height / from.height);
    if (byWidth) height = width / ratio;
    else width = height * ratio;
  }
  const { x, y } = centre(from);
  // The edge across from the handle stays; a side that has no handle grows about its middle.
  const anchored = (start: number, length: number, now: number, middle: number, side: -1 | 0 | 1) =>
    fromCentre || side === 0 ? middle - now / 2 : side === 1 ? start : start + length - now;
  return box(
    anchored(from.x, from.width, width, x, handle.x),
    anchored(from.y, from.height, height, y, handle.y),
    width,
    height,
  );
}

/** Degrees clockwise from −180 to 180 by which a pointer has turned about a point; near a multiple of `step` it is that. */
export function turnedBy(
  about: Point,
  from: Point,
  to: Point,
  start: number,
  step: number,
): number {
  const angle = (p: Point) => Math.atan2(p.y - about.y, p.x - about.x);
  const degrees = start + ((angle(to) - angle(from)) * 180) / Math.PI;
  const near = Math.round(degrees / step) * step;
  const turn = Math.abs(degrees - near) <= NEAR ? near : degrees;
  return ((((turn + 180) % 360) + 360) % 360) - 180;
}

/** So many degrees beside a step still count as the step. */
const NEAR = 4;
