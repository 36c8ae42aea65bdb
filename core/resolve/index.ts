export * from "./resolved";
export { resolve, type Sources } from "./resolve";
export { roleStyles } from "./defaults";
export { developedAs } from "./looks";
