import svgpath from "svgpath";
import { z } from "zod";

/** An icon as the Lucide set keeps it: SVG elements on a grid of 24, stroked 2 wide with round ends. */
export const IconNode = z.array(z.tuple([z.string(), z.record(z.string(), z.string())]));
export type IconNode = z.infer<typeof IconNode>;

export type IconLookup = (name: string) => IconNode | undefined;

export const ICON_GRID = 24;
export const ICON_STROKE = 2;

/** One path, on the icon's own grid, for all its elements. */
export const iconPath = (icon: IconNode): string => icon.map(elementPath).join("");

function elementPath([tag, attributes]: IconNode[number]): string {
  const number = (name: string): number => Number(attributes[name] ?? 0);
  switch (tag) {
    case "path":
      // A path may begin relative to where it stands, which another element before it would move.
      return svgpath(attributes.d ?? "")
        .abs()
        .toString();
    case "circle":
      return round(number("cx"), number("cy"), number("r"), number("r"));
    case "ellipse":
      return round(number("cx"), number("cy"), number("rx"), number("ry"));
    case "line":
      return `M${number("x1")} ${number("y1")}L${number("x2")} ${number("y2")}`;
    case "rect":
      return box(
        number("x"),
        number("y"),
        number("width"),
        number("height"),
        number("rx") || number("ry"),
      );
    case "polyline":
      return `M${attributes.points ?? ""}`;
    case "polygon":
      return `M${attributes.points ?? ""}Z`;
    default:
      throw new RangeError(`an icon has a “${tag}”, which is not drawn`);
  }
}

const round = (cx: number, cy: number, rx: number, ry: number): string =>
  `M${cx - rx} ${cy}A${rx} ${ry} 0 1 1 ${cx + rx} ${cy}A${rx} ${ry} 0 1 1 ${cx - rx} ${cy}Z`;

function box(x: number, y: number, width: number, height: number, r: number): string {
  if (r === 0) return `M${x} ${y}h${width}v${height}h${-width}Z`;
  const arc = (dx: number, dy: number) => `a${r} ${r} 0 0 1 ${dx} ${dy}`;
  const [w, h] = [width - 2 * r, height - 2 * r];
  return `M${x + r} ${y}h${w}${arc(r, r)}v${h}${arc(-r, r)}h${-w}${arc(-r, -r)}v${-h}${arc(r, -r)}Z`;
}
