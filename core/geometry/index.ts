export * from "./box";
export { largestFree } from "./free";
export { tiles } from "./tiles";
