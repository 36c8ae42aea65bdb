export { compareBrands, looksOther } from "./compare";
export { writeCss, writePalette } from "./formats/plain";
export { readColours, type ColoursRead } from "./formats/read";
export { writeTokens } from "./formats/tokens";
export {
  asLogo,
  colourId,
  makeBrand,
  MOST_COLOURS,
  NewBrand,
  TypefaceChoice,
  typefaceOf,
} from "./make";
export { proposedLogos, type LogoProposal } from "./proposals";
export { pairsOf, type Pair } from "./pairs";
export { rebrand, type Rebranded } from "./rebrand";
export { outdated } from "./outdated";
