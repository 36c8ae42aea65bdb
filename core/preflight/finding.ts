import { z } from "zod";
import { LayoutId } from "../piece";

const level = z.enum(["must-fix", "look-again", "note"]);
export type Level = z.infer<typeof level>;

const codes = [
  "outside-safe-area",
  "outside-crop",
  "overlap",
  "across-an-edge",
  "subject-cut",
  "subject-covered",
  "face-under-channel",
  "out-of-order",
  "nearly-aligned",
  "logo-small",
  "logo-crowded",
  "below-floor",
  "low-contrast",
  "low-resolution",
  "left-out",
  "always-left-out",
  "no-such-character",
  "raw-colour",
  "raw-face",
  "logo-ground",
  "logo-left-out",
  "on-no-size",
  "word-to-avoid",
  "cannot-be-painted",
  "file-missing",
  "no-area",
  "layout-gone",
  "apart",
  "nothing-fits",
] as const;

/** What a check found, as data; the words for it are in `wording/findings.ts`. */
export const Finding = z.object({
  code: z.enum(codes),
  level,
  node: z.string().optional(),
  role: z.string().optional(),
  measured: z.number().optional(),
  needed: z.number().optional(),
  unit: z.enum(["px", "css-px", "ratio", "percent"]).optional(),
  /** What it is about: the other node, the crop, the characters. */
  about: z.string().optional(),
  /** The slot that is not seen. */
  slot: z.string().optional(),
  /** The layout that a person picked and that cannot be had. */
  layout: LayoutId.optional(),
  /** What would set it right at once: the raw value, and the brand's token with its name. */
  mend: z.object({ from: z.string(), to: z.string().optional(), name: z.string() }).optional(),
});
export type Finding = z.infer<typeof Finding>;
export const findingCodes = codes;

/** The findings that ask for something; a note only tells. */
export const toAct = (findings: readonly Finding[]): Finding[] =>
  findings.filter((finding) => finding.level !== "note");
