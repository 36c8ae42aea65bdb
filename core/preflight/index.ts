export { Finding, findingCodes, toAct, type Level } from "./finding";
export { check, fineKey } from "./check";
export { checkPiece } from "./piece";
export { inkOf } from "./ink";
export { reportOf, type LayoutReport, type NodeReport } from "./report";
