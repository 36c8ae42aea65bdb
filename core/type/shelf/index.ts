export * from "./shelf";
