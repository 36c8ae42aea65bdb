import { area, between, bottom, centre, right, type Box } from "../geometry";
import type { Layout, Placed } from "../refit";
import type { Corner, TextNode } from "../resolve";
import type { ShapedLine } from "../type";
import type { GlyphsItem, PathItem, PictureItem, Scene, SceneItem, Turn } from "./scene";
import { ellipse, rectangle, waves } from "./shapes";

/** Turns a layout into the list of what is painted. Nothing is decided here that refit has not decided. */
export function compose(layout: Layout): Scene {
  const { width, height } = layout.placement;
  return {
    width,
    height,
    ground: layout.resolved.palette.backdrop,
    items: layout.placed.flatMap((placed) => itemsOf(placed, Math.sqrt(width * height))),
  };
}

function itemsOf(placed: Placed, extent: number): SceneItem[] {
  const { node } = placed;
  switch (node.type) {
    case "text":
      return textItems(placed, node);
    case "picture":
      return [
        {
          ...common(placed),
          ...pictureOf(node.file, placed.crop!, placed.box),
          treatment: node.treatment,
        },
      ];
    case "logo": {
      const { file } = placed.logo!;
      const whole = { x: 0, y: 0, width: file.width, height: file.height };
      return [
        { ...common(placed), ...pictureOf(file, whole, placed.box), treatment: { kind: "none" } },
      ];
    }
    case "shape":
      return [placed.box, placed.also]
        .filter((part) => part !== undefined)
        .map((box) => shapeItem({ ...placed, box }, node.shape, node.colour, extent));
  }
}

function common({ node, turn, about, box }: Placed): {
  node: string;
  opacity: number;
  turn?: Turn;
} {
  const base = { node: node.id, opacity: node.opacity };
  return turn === 0 ? base : { ...base, turn: { degrees: turn, about: about ?? centre(box) } };
}

const pictureOf = (
  file: { id: string; vector: boolean },
  crop: Box,
  box: Box,
): Pick<PictureItem, "kind" | "file" | "vector" | "crop" | "box"> => ({
  kind: "picture",
  file: file.id,
  vector: file.vector,
  crop,
  box,
});

function shapeItem(
  placed: Placed,
  shape: "rectangle" | "ellipse" | "waves",
  colour: string,
  extent: number,
): PathItem {
  const base = { ...common(placed), kind: "path" as const };
  if (shape === "waves") {
    const { d, strokeWidth } = waves(placed.box, extent);
    return {
      ...base,
      d,
      stroke: { hex: colour, width: strokeWidth },
      clip: onWholePixels(placed.box),
    };
  }
  return {
    ...base,
    d: shape === "ellipse" ? ellipse(placed.box) : rectangle(placed.box),
    fill: colour,
  };
}

/** A clip's edge between two pixels would be softened differently by different painters. */
function onWholePixels(b: Box): Box {
  const [left, top] = [Math.round(b.x), Math.round(b.y)];
  return between(left, top, Math.round(right(b)), Math.round(bottom(b)));
}

function textItems(placed: Placed, node: TextNode): SceneItem[] {
  const items: SceneItem[] = [];
  const { set, ink } = placed.text!;
  if (node.plate && area(placed.box) > 0) {
    const d = rectangle(placed.box, cornerRadius(node.plate.corner, placed.box));
    items.push({ ...common(placed), kind: "path", d, fill: node.plate.hex });
  }
  set.lines.forEach((line, index) => {
    const slack = ink.width - line.inkWidth * set.size;
    const x = ink.x + slack * alignShare(node);
    const baseline = ink.y + set.ascent + index * set.lineHeight;
    items.push({
      ...common(placed),
      ...glyphsOf(line, set.size, x, baseline),
      colour: node.colour,
    });
  });
  return items;
}

const alignShare = (node: TextNode): number =>
  node.plate ? 0.5 : { left: 0, centre: 0.5, right: 1 }[node.align];

const glyphsOf = (
  line: ShapedLine,
  size: number,
  x: number,
  baseline: number,
): Pick<GlyphsItem, "kind" | "text" | "size" | "glyphs"> => ({
  kind: "glyphs",
  text: line.text,
  size,
  glyphs: line.glyphs.flatMap((glyph) => {
    const outline = glyph.face.outline(glyph.glyph);
    const { unitsPerEm } = glyph.face;
    return outline
      ? [{ outline, unitsPerEm, x: x + glyph.x * size, y: baseline - glyph.y * size }]
      : [];
  }),
});

/** How round a plate is, in pixels: "soft" takes a little off, "round" makes a pill. */
function cornerRadius(corner: Corner, plate: Box): number {
  if (corner === "square") return 0;
  return corner === "soft" ? 0.16 * plate.height : plate.height / 2;
}
