export * from "./brand";
export * from "./palette";
export * from "./filters";
export { leastWidthOf, LETTERED, logoFor, mayStandOn } from "./logo";
export { spreadName } from "./spread-name";
