export * from "./table";
export * from "./combine";
export * from "./kept";
export * from "./naming";
