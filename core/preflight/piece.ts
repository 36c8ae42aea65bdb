import type { Finding } from "./finding";
import type { LayoutReport } from "./report";

/** What is wrong with a piece as a whole: words of its message that stand on none of its sizes. */
export function checkPiece(reports: readonly Pick<LayoutReport, "slots" | "shown">[]): Finding[] {
  const shown = new Set(reports.flatMap((report) => report.shown));
  const said = new Set(reports.flatMap(({ slots }) => slots));
  return [...said]
    .filter((slot) => !shown.has(slot))
    .map((slot) => ({
      code: "on-no-size",
      level: "must-fix",
      slot,
    }));
}
