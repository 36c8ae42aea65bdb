export { classesOf, classOf, type Class } from "./classes";
export { compose, layoutAlike, type Composition } from "./compose";
export { layoutInSet, standsInSet } from "./in-set";
export { asSet, isUpToDate, membersOf } from "./set";
