import { box, intersect, type Box, type Point } from "../geometry";
import type { Scrim } from "../refit";
import { rectangle } from "../shape";
import type { PathItem } from "./scene";
import { common, type NodeMeasures } from "./measures";

/** A scrim is whole on its solid part and fades beyond it; half-way it is a little under a half, which looks even. */
export function scrimItems(measures: NodeMeasures): PathItem[] {
  const { scrim, box: at } = measures.placed;
  if (!scrim) return [];
  const { hex, alpha, solid, side, fade } = scrim;
  const base = { ...common(measures), opacity: 1, kind: "path" as const };
  if (side === "all")
    return [{ ...base, d: rectangle(at), fill: { kind: "flat", hex }, opacity: alpha }];
  const grown = intersect(at, faded(solid, side, fade));
  const length = side === "top" || side === "bottom" ? grown.height : grown.width;
  const whole = (side === "top" || side === "bottom" ? solid.height : solid.width) / length;
  const stops = [
    { at: 0, hex, alpha },
    { at: whole, hex, alpha },
    { at: whole + 0.5 * (1 - whole), hex, alpha: 0.42 * alpha },
    { at: 1, hex, alpha: 0 },
  ];
  return [{ ...base, d: rectangle(grown), fill: { kind: "linear", ...along(grown, side), stops } }];
}

type Side = Exclude<Scrim["side"], "all">;

/** The solid part with its fade. */
function faded(b: Box, side: Side, by: number): Box {
  switch (side) {
    case "top":
      return box(b.x, b.y, b.width, b.height + by);
    case "bottom":
      return box(b.x, b.y - by, b.width, b.height + by);
    case "left":
      return box(b.x, b.y, b.width + by, b.height);
    case "right":
      return box(b.x - by, b.y, b.width + by, b.height);
  }
}

/** From the picture's edge inwards. */
function along(b: Box, side: Side): { from: Point; to: Point } {
  const start = { x: b.x, y: b.y };
  const low = { x: b.x, y: b.y + b.height };
  const far = { x: b.x + b.width, y: b.y };
  switch (side) {
    case "top":
      return { from: start, to: low };
    case "bottom":
      return { from: low, to: start };
    case "left":
      return { from: start, to: far };
    case "right":
      return { from: far, to: start };
  }
}
