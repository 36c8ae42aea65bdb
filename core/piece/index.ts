export * from "./piece";
export * from "./style";
export { fromOlder } from "./older";
export { followingAgain, isLocal, localOf, pictureStyleOf, type PictureStyle } from "./values";
export * from "./on-brand";
export * from "./crate";
export * from "./copy";
export * from "./sizes";
