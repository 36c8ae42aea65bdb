export * from "./making";
export * from "./choosing";
export * from "./schemas";
export * from "./sets";
export { altText } from "./alt";
export { creditsOf } from "./credits";
export { photographsIn, photographsOf } from "./shelf";
