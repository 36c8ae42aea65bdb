export * from "./placement";
export {
  catalogue,
  isShipped,
  known,
  lookupIn,
  placementById,
  shippedPlacement,
  withTeam,
} from "./catalogue";
export { OWN_CHANNEL, ownPlacement, OwnSize, usualViewWidth } from "./own";
export {
  clearArea,
  cssPerPixel,
  frameOf,
  roomOf,
  type Room,
  keptArea,
  legibilityFloor,
  outside,
  safeArea,
} from "./safe";
export { MOST_PIXELS, refuseUnpaintable } from "./paintable";
