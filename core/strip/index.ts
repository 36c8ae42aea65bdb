export { asStrip, pictureNames, running, withRunning } from "./begin";
export { canHang, freeBand, withHung, withTakenIn } from "./hang";
export { withModel, withNewSlide, withoutSlide, withSlideMoved } from "./edit";
export {
  isOutline,
  outlineOf,
  outlineWithLine,
  readOutline,
  unknownPictures,
  withOutline,
  writeOutline,
  type OutlineSlide,
  type PictureNames,
} from "./outline";
export { RUNNING } from "./running";
export { emptySlides, shownAt, slideName, slidesFor, tooManyFor } from "./shown";
export {
  FIRST_SLIDE,
  isStrip,
  isStripSlot,
  slideCount,
  slideIds,
  slideOf,
  withEachSlide,
  withSlide,
} from "./slide";
export { outlineFromWords, outlineWords } from "./from-words";
export { filesFor, partsFor, type SlideFile } from "./parts";
export { missingStages, rolesOf, STAGE_OF, STAGES, stripRoles, wordsIn, type Stage } from "./roles";
