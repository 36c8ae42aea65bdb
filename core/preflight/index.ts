export { Finding, findingCodes, toAct, type Level } from "./finding";
export { check } from "./check";
export { inkOf } from "./ink";
export { reportOf, type LayoutReport, type NodeReport } from "./report";
export { roleName, wordingOf } from "./wording";
