export { asStrip, pictureNames, running } from "./begin";
export { withNewSlide, withoutSlide, withSlideMoved } from "./edit";
export {
  outlineOf,
  readOutline,
  withOutline,
  writeOutline,
  type OutlineSlide,
  type PictureNames,
} from "./outline";
export { RUNNING } from "./running";
export { slideName, slidesFor } from "./shown";
export {
  FIRST_SLIDE,
  isStrip,
  isStripSlot,
  slideCount,
  slideIds,
  slideOf,
  withSlide,
} from "./slide";
