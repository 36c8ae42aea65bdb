export { adjust, adjustKey, type Adjust } from "./adjust";
export { AdjustStyle } from "./adjust-style";
export { readArt } from "./art";
export {
  containedIn,
  cropBeside,
  cropTo,
  focusInFrame,
  focusShown,
  movedIn,
  placingOf,
  type Placing,
} from "./crop";
export { develop, type Developing, type Shown } from "./develop";
export { focusArea } from "./focus";
export { draftLevel, pixelBox } from "./levels";
export { rasterOf, sample, type Raster, type View } from "./raster";
export { findFocus, type Thumbnail } from "./salience";
export { readTones, toneOf, type GroundTone } from "./tones";
