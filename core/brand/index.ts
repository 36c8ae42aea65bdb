export * from "./brand";
export * from "./dress";
export * from "./filters";
