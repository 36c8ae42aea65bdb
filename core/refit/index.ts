export type { CostTerms, Layout, LeftOut, LeftOutReason, Placed, Scrim } from "./layout";
export { refit, type RefitOptions } from "./refit";
export { recomposed } from "./recompose";
export { groundBehind } from "./ground";
export { clearSpace, logoInk } from "./logo";
export { inSuitedFrames } from "./frames";
export { holdsSubject, isCut, isWhole, seenParts, type SeenPart } from "./subjects";
export { largest, orderOf } from "./order";
export { total } from "./cost";
