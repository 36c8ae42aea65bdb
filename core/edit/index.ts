export * from "./address";
export * from "./edit";
export * from "./difference";
export { valueAt } from "./place";
export { fromOlderEdit } from "./older";
