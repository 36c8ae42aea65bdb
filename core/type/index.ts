export { embeddingLevels, inVisualOrder } from "./bidi";
export { breakPlaces, unicodeBreaks } from "./breaks";
export { Face, type Axes } from "./face";
export { FontFile, fontsIn, type Embedding, type Optical } from "./font-file";
export { faceFor, graphemesOf, missingCharacters } from "./itemise";
export { Paragraph, type TypeStyle } from "./paragraph";
export {
  lastBaseline,
  setAt,
  setInColumns,
  setToFit,
  type Fit,
  type SetLine,
  type SetText,
} from "./setting";
export { MARKER, shapeLine, type PlacedGlyph, type ShapedLine, type Stretch } from "./shape";
export { Typesetter } from "./typesetter";
