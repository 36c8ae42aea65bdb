export * from "./colour";
export * from "./spread";
