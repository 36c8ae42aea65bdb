export { Finding, findingCodes, toAct, type Level } from "./finding";
export { check, inkOf } from "./check";
export { reportOf, type LayoutReport, type NodeReport } from "./report";
export { roleName, wordingOf } from "./wording";
