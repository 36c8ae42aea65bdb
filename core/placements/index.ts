export * from "./placement";
export { catalogue, isPlacement, placementById } from "./catalogue";
export { cssPerPixel, frameOf, keptArea, legibilityFloor, outside, safeArea } from "./safe";
