export * from "./brand";
export * from "./dress";
