export * from "./piece";
export * from "./style";
export * from "./edits";
export { fromOlder } from "./older";
export { dressOf, isLocal, leadOf, localOf, pictureStyleOf, wordingsOf } from "./values";
export * from "./on-brand";
export * from "./crate";
export * from "./copy";
export * from "./sizes";
