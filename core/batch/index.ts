export * from "./table";
export * from "./combine";
export * from "./naming";
