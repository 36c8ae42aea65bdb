export * from "./resolved";
export { resolve, type Sources } from "./resolve";
export { roleStyles } from "./defaults";
export { isOutline, versionsOf } from "./logos";
export { developedAs } from "./style-reader";
export { wordContrast } from "./contrast";
