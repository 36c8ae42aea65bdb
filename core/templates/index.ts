export * from "./template";
export { whatChanged } from "./changed";
export { inLook, Look, lookAt } from "./looks";
export { inTypefaces, pairingsOf } from "./pairing";
export { titleFor } from "./title";
export { arrangedAs, designOf, pictureSlots, pieceOf, pointsOf, type Wanted } from "./use";
export { inSpread, moodOf, spreadFor } from "./moods";
export { inSet, isStripTemplate, needsPictures } from "./strip";
