export { makeBrand, MOST_COLOURS, NewBrand, TypefaceChoice } from "./make";
