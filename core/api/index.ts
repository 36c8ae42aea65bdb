export * from "./making";
export * from "./choosing";
export * from "./schemas";
export { altText } from "./alt";
export { creditsOf } from "./credits";
export { photographsIn, photographsOf } from "./shelf";
