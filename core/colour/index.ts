export * from "./colour";
export * from "./difference";
export * from "./mix";
export * from "./on";
export * from "./read";
export * from "./spread";
export * from "./tint";
export * from "./vision";
