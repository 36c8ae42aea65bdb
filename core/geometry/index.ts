export * from "./box";
export { largestFree } from "./free";
