export * from "./brand";
export * from "./dress";
export * from "./filters";
export { isSeenOn, leastWidthOf, LETTERED, logoFor, standsOn } from "./logo";
