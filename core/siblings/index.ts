export { classesOf, classOf, type Class } from "./classes";
export { compose, layoutAlike, type Composition } from "./compose";
