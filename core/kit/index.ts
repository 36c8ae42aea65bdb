export { compareBrands } from "./compare";
export { writeCss, writePalette } from "./formats/plain";
export { readColours, type ColoursRead } from "./formats/read";
export { writeTokens } from "./formats/tokens";
export { colourId, makeBrand, MOST_COLOURS, NewBrand, TypefaceChoice } from "./make";
export { pairsOf, type Pair } from "./pairs";
