import {
  between,
  bottom,
  hullOf,
  intersect,
  right,
  turned,
  type Box,
} from "../../../core/geometry";
import type { GlyphsItem, SceneItem } from "../../../core/scene";
import type { Outlines } from "./outlines";

/** Output rows from `top` up to `bottom`. */
export interface Rows {
  top: number;
  bottom: number;
}

/** A mitred corner stands out from its line's middle by so many widths at the most: half of the standard's limit. */
const MITRE = 5;
/** An edge is softened over the pixels that it touches, and a picture lies on whole ones. */
const SOFT = 1;
/** Beyond so many blurs, six standard deviations, nothing is left of a shadow. */
const BLURS = 3;

/** The rows that an item may leave something on; no others. */
export function reach(item: SceneItem, outlines: Outlines, scale: number): Rows {
  const own = extent(item, outlines);
  if (!own) return { top: 0, bottom: 0 };
  const box = item.turn ? turned(own, item.turn.degrees, item.turn.about) : own;
  const [top, end] = [box.y * scale - SOFT, bottom(box) * scale + SOFT];
  const { y = 0, blur = 0 } = item.shadow ?? {};
  return {
    top: Math.floor(Math.min(top, top + (y - BLURS * blur) * scale)),
    bottom: Math.ceil(Math.max(end, end + (y + BLURS * blur) * scale)),
  };
}

/** What an item covers before it is turned; undefined for words without ink. */
function extent(item: SceneItem, outlines: Outlines): Box | undefined {
  if (item.kind === "glyphs") return inkOf(item, outlines);
  if (item.kind === "picture") return item.frame ? outlines.of(item.frame).bounds : item.box;
  const shape = outlines.of(item.d).bounds;
  const { join = "round", width = 0 } = item.stroke ?? {};
  const by = join === "miter" ? MITRE * width : width;
  const box = between(shape.x - by, shape.y - by, right(shape) + by, bottom(shape) + by);
  return item.clip ? intersect(box, item.clip) : box;
}

function inkOf({ glyphs, size }: GlyphsItem, outlines: Outlines): Box | undefined {
  const boxes = glyphs
    .filter(({ outline }) => outline !== "")
    .map(({ outline, unitsPerEm, x, y }) => {
      const { y: low, height, ...across } = outlines.of(outline).bounds;
      const by = size / unitsPerEm;
      return between(
        x + across.x * by,
        y - (low + height) * by,
        x + (across.x + across.width) * by,
        y - low * by,
      );
    });
  return boxes.length > 0 ? hullOf(boxes) : undefined;
}

/** Whether it is the same, pixel for pixel, where it is cut through: a picture, or an upright rectangle of one colour. */
export function isStraight(item: SceneItem): boolean {
  if (item.turn || item.shadow) return false;
  if (item.kind === "picture") return !item.frame;
  return (
    item.kind === "path" && !item.stroke && item.fill?.kind === "flat" && RECTANGLE.test(item.d)
  );
}

/** As `rectangle` of core/shape writes one. */
const RECTANGLE = /^M[-.\d]+ [-.\d]+H[-.\d]+V[-.\d]+H[-.\d]+Z$/;
