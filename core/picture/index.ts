export { adjust, adjustedHex, adjustKey, isEven, type Adjust } from "./adjust";
export { readArt } from "./art";
export { cropBeyond } from "./beyond";
export {
  containedIn,
  cropBeside,
  cropTo,
  movedIn,
  placingOf,
  seenInFrame,
  type Placing,
} from "./crop";
export { develop, type Developing, type Shown } from "./develop";
export { familiesIn } from "./families";
export { findGround } from "./flat";
export { labOf, type Thumbnail } from "./lab";
export { draftLevel, pixelBox } from "./levels";
export { findLettering } from "./lettering";
export { isPage, type Greys } from "./page";
export { rasterOf, sample, type Raster, type View } from "./raster";
export { findThing } from "./salience";
export { isFirm, shareShown, subjectOf, type Part, type Subject } from "./subject";
export { readTones, toneOf, type GroundTone } from "./tones";
