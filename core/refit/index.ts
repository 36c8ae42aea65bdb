export type { CostTerms, Layout, LeftOut, LeftOutReason, Placed } from "./layout";
export { refit } from "./refit";
export { groundBehind } from "./ground";
