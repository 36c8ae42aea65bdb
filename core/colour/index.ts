export * from "./colour";
export * from "./difference";
export * from "./mix";
export * from "./spread";
export * from "./vision";
