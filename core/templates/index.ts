export * from "./template";
export { whatChanged } from "./changed";
export { inLook, Look, lookAt } from "./looks";
export { pairingsOf } from "./pairing";
export { titleFor } from "./title";
export { shippedTemplates } from "./shelf";
export {
  arrangedAs,
  designOf,
  moodOf,
  pictureSlots,
  pieceOf,
  pointsOf,
  spreadFor,
  type Wanted,
} from "./use";
