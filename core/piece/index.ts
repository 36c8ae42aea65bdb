export * from "./piece";
export * from "./style";
export * from "./edits";
export * from "./on-brand";
export * from "./crate";
export * from "./copy";
export * from "./sizes";
