export * from "./making";
export * from "./schemas";
export { altText } from "./alt";
export { creditsOf } from "./credits";
export { photographsIn, photographsOf } from "./shelf";
