export type { CostTerms, Layout, LeftOut, LeftOutReason, Placed, Veil } from "./layout";
export { AS_ARRANGED, refit } from "./refit";
export { groundBehind } from "./ground";
