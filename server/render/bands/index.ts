export { Bands } from "./bands";
export { withoutAlpha } from "./pixels";
export type { Rows } from "./reach";
export { inBands, isLarge } from "./large";
