export type { CostTerms, Layout, LeftOut, LeftOutReason, Placed } from "./layout";
export { refit } from "./refit";
export { photoFocus } from "./finish";
export { groundBehind } from "./ground";
