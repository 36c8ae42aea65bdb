export type { Bent, CostTerms, Layout, LeftOut, LeftOutReason, Placed, Scrim } from "./layout";
export { refit, type RefitOptions } from "./refit";
export { recomposed, roomOf } from "./recompose";
export { groundBehind, wordGround } from "./pictures/ground";
export { clearSpace, logoInk } from "./words/logo";
export { inSuitedFrames } from "./pictures/frames";
export { holdsSubject, isCut, isWhole, seenParts, type SeenPart } from "./pictures/subjects";
export { largest, orderOf } from "./structure/order";
export { total } from "./cost/cost";
