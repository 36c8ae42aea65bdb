export * from "./template";
export { shippedTemplates } from "./shelf";
export { pictureSlots, pieceOf, pointsOf, spreadFor, type Wanted } from "./use";
