export * from "./piece";
export * from "./edits";
export * from "./crate";
export * from "./copy";
