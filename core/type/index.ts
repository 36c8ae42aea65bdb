export { Face, FontFile } from "./face";
export { Paragraph, type TypeStyle } from "./paragraph";
export { lastBaseline, setAt, setToFit, type Fit, type SetText } from "./setting";
export { missingCharacters, shapeLine, type PlacedGlyph, type ShapedLine } from "./shape";
export { Typesetter } from "./typesetter";
