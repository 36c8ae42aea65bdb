export * from "./template";
export { fitOf, fitting } from "./fit";
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
