export { ellipse, rectangle } from "./basic";
export { codeFor, codeIn, type Code } from "./code";
export { ICON_GRID, ICON_STROKE, iconPath, IconNode, type IconLookup } from "./icon";
export { innerBox, shareInside } from "./inside";
export {
  bodyOf,
  isOpen,
  isPattern,
  keepsRatio,
  outlineOf,
  overflows,
  shapeDefaults,
  type ShapeSpec,
} from "./outline";
export { fitted, placedOutline, turnedOutline } from "./path";
export { ShapeKind, ShapeStyle } from "./shape-style";
export { waves } from "./waves";
