export { asStrip, pictureNames, running } from "./begin";
export { withModel, withNewSlide, withoutSlide, withSlideMoved } from "./edit";
export {
  outlineOf,
  readOutline,
  withOutline,
  writeOutline,
  type OutlineSlide,
  type PictureNames,
} from "./outline";
export { RUNNING } from "./running";
export { slideName, slidesFor, tooManyFor } from "./shown";
export {
  FIRST_SLIDE,
  isStrip,
  isStripSlot,
  slideCount,
  slideIds,
  slideOf,
  withSlide,
} from "./slide";
