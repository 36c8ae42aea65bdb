import { z } from "zod";
import { Table, TableNote } from "../batch";
import { Repeat } from "../choosing";
import { Spread } from "../colour";
import { FileId } from "../files";
import { Measures } from "../measure";
import { Analysis } from "../results";
import { BatchAnswer, OutputAnswer } from "./making";

/** What a person has decided of a variation. */
export const Verdict = z.enum(["keep", "maybe", "drop"]);
export type Verdict = z.infer<typeof Verdict>;

/** What is not given stays; a verdict of null is taken back. */
export const VariationMark = z.object({
  verdict: Verdict.nullable().optional(),
  note: z.string().max(2000).optional(),
});
export type VariationMark = z.infer<typeof VariationMark>;

export const SheetVariation = z.object({
  index: z.number().int(),
  name: z.string(),
  values: z.record(z.string(), z.string()),
  verdict: Verdict.optional(),
  note: z.string().optional(),
  /** It was changed by hand, and stands by itself. */
  byHand: z.boolean(),
  /** On the placement that was asked for, once it is made. */
  output: OutputAnswer.optional(),
  /** Of a strip: its slides after the first, which is ranked and measured. */
  slides: z.array(OutputAnswer).optional(),
  /** Absent until it is measured. */
  marks: Measures.extend({ distinctness: z.number().optional() }).optional(),
});
export type SheetVariation = z.infer<typeof SheetVariation>;

/** All variations of a batch on one placement. */
export const ContactSheet = z.object({
  batch: BatchAnswer,
  placement: z.string(),
  /** So many of its files are being measured; ask again. */
  measuring: z.number().int(),
  columns: z.array(z.string()),
  variations: z.array(SheetVariation),
  repeats: z.array(Repeat),
});
export type ContactSheet = z.infer<typeof ContactSheet>;

/** A contact sheet as a file: of which placement, and of which of the variations. */
export const ContactSheetPage = z.object({
  placement: z.string().optional(),
  shown: z.enum(["all", "open", ...Verdict.options]).default("all"),
  format: z.enum(["png", "pdf"]).default("pdf"),
});
export type ContactSheetPage = z.infer<typeof ContactSheetPage>;

/** A report of how variations did; which columns count is found by their headings where it is not said. */
export const ResultsTable = z.object({
  table: Table,
  shown: z.string().max(200).optional(),
  acted: z.string().max(200).optional(),
});
export type ResultsTable = z.infer<typeof ResultsTable>;

export const ResultsAnswer = z.object({
  analysis: Analysis,
  /** What can and cannot be concluded: of the variations, and of each column's values. */
  said: z.object({
    variations: z.array(z.string()),
    columns: z.record(z.string(), z.array(z.string())),
  }),
  /** What a next batch can begin with: of each column the values that may be the best. */
  next: z.object({
    table: Table.optional(),
    pictures: z.array(FileId),
    spreads: z.array(Spread),
    templates: z.array(z.string()),
    typefaces: z.array(z.string()),
  }),
  /** Of the table that was just read. */
  notes: z.array(TableNote),
});
export type ResultsAnswer = z.infer<typeof ResultsAnswer>;
