import { parseArgs } from "node:util";
import { z } from "zod";
import { ImageFormat } from "../../core/api";
import { Pairing, Sample } from "../../core/batch";

export const USAGE = `Usage: npm run zest -- make PIECE.json [options] --out DIR
       npm run zest -- begin MESSAGE.txt|OUTLINE.md --brand KIT.json [--pictures DIR] [--template ID | --best 6] --out DIR
       npm run zest -- outline ARTICLE.md|.html|.txt|.docx|.pdf [--slides 8] --out FILE.md
       npm run zest -- sheet PIECE.json [--brand KIT.json] [--placements a,b | all] --out FILE.png|FILE.pdf
       npm run zest -- set PIECE.json PIECE.json … --out DIR
       npm run zest -- backup FILE.zip [--data FOLDER]
       npm run zest -- restore FILE.zip [--data FOLDER]

make writes the sizes of a piece; begin begins pieces with a typed message, best first, and carousels with an outline; outline cuts an
article into the outline of a carousel, word for word; sheet puts all sizes on one page; set writes pieces laid out as a set, in the
arrangement of the first.
backup writes all that a data folder holds, also while the program is at work in it; restore puts that in the place of what
is there, which is kept beside it.

  --brand KIT.json        the brand kit; else the one that the piece names, looked for near it
  --placements a,b | all  which sizes; else the piece's own
  --catalogue FILE.json   placements of a team, as exported; else those that ship with the program
  --table rows.csv        a variation for each row (CSV, JSON or XLSX); its headings name slots
  --alternatives          a variation for each of the wordings that the piece keeps, instead of a table
  --pair in-step | every-mix
  --spreads N             with every mix: also the first N spreads of the kit, 1 to 24
  --sample pairs          of every mix only so few that every two values meet
  --parts                 a strip that is longer than a channel shows in parts, each marked on its first slide
  --apart                 each variation as large as it can be, instead of all in one layout
  --format png | jpeg | webp | svg   default png
  --svg-text outlines | text     how words go into an SVG; text has its faces built in; default outlines
  --scale 1 | 2 | …       output pixels for each pixel of the placement, 0.1 to 4; default 1
  --outline FILE.md       the slides of a strip, from an outline: a heading begins each, text and points stand beneath,
                          ![what it shows](name) is a picture beside the piece
  --layout-only           write the layout reports, no pictures
  --out DIR               where the files go
  --pictures DIR          begin: pictures that go with the message, in the order of their names
  --template ID           begin: with this template only
  --slides N              outline: how many slides at the most, 2 to 20; default 8
  --best N                begin: how many of the best, 1 to 44; default 6
  --data FOLDER           backup, restore: the data folder; default data

Exit status: 0 all made, 1 bad input, 2 made, but some sizes have a must-fix finding.`;

const Options = z.object({
  piece: z.string(),
  brand: z.string().optional(),
  placements: z.union([z.literal("all"), z.array(z.string())]).optional(),
  catalogue: z.string().optional(),
  table: z.string().optional(),
  outline: z.string().optional(),
  alternatives: z.boolean(),
  apart: z.boolean(),
  parts: z.boolean(),
  pair: Pairing.exclude(["together"]),
  spreads: z.number().int().min(0).max(24),
  sample: Sample,
  format: ImageFormat,
  scale: z.number().min(0.1).max(4),
  layoutOnly: z.boolean(),
  svgText: z.enum(["outlines", "text"]),
  out: z.string(),
});
export type Options = z.infer<typeof Options>;

/** Thrown for a command line that cannot be followed; the message names the option. */
export class UsageError extends Error {}

export const SheetOptions = Options.pick({
  piece: true,
  brand: true,
  placements: true,
  catalogue: true,
}).extend({ out: z.string().regex(/\.(png|pdf)$/i, "name a file that ends with .png or .pdf") });
export type SheetOptions = z.infer<typeof SheetOptions>;

export const BeginOptions = z.object({
  message: z.string(),
  brand: z.string(),
  pictures: z.string().optional(),
  template: z.string().optional(),
  best: z.number().int().min(1).max(100),
  out: z.string(),
});
export type BeginOptions = z.infer<typeof BeginOptions>;

export const SetOptions = z.object({ pieces: z.array(z.string()), out: z.string() });
export type SetOptions = z.infer<typeof SetOptions>;

export const OutlineOptions = z.object({
  article: z.string(),
  slides: z.number().int().min(2).max(20),
  out: z.string(),
});
export type OutlineOptions = z.infer<typeof OutlineOptions>;

export type Command =
  | { command: "make"; options: Options }
  | { command: "sheet"; options: SheetOptions }
  | { command: "begin"; options: BeginOptions }
  | { command: "outline"; options: OutlineOptions }
  | { command: "set"; options: SetOptions }
  | { command: "backup" | "restore"; options: BackupOptions };

export interface BackupOptions {
  file: string;
  data?: string | undefined;
}

/** Throws a UsageError that names what is wrong. */
export function readCommand(argv: string[]): Command {
  const { values, positionals } = parse(argv);
  const [command, document, ...rest] = positionals;
  if (document === undefined || (rest.length > 0 && command !== "set")) throw new UsageError(USAGE);
  if (command === "backup" || command === "restore")
    return { command, options: { file: document, data: values.data } };
  if (values.out === undefined) throw new UsageError("--out: say where the files go");
  switch (command) {
    case "make":
      if (values.alternatives && values.table !== undefined)
        throw new UsageError("--alternatives: give a table or take what the piece keeps, not both");
      return { command, options: checked(Options, withDefaults(values, document)) };
    case "set":
      return { command, options: { pieces: [document, ...rest], out: values.out } };
    case "sheet":
      return { command, options: checked(SheetOptions, withDefaults(values, document)) };
    case "begin":
      if (values.brand === undefined)
        throw new UsageError("--brand: say for which brand kit (a KIT.json)");
      return { command, options: checked(BeginOptions, beginning(values, document)) };
    case "outline":
      return {
        command,
        options: checked(OutlineOptions, {
          ...values,
          article: document,
          slides: Number(values.slides ?? 8),
        }),
      };
    default:
      throw new UsageError(USAGE);
  }
}

/** The options of `make` alone. */
export function readOptions(argv: string[]): Options {
  const read = readCommand(argv);
  if (read.command !== "make") throw new UsageError(USAGE);
  return read.options;
}

function checked<T extends z.ZodType>(schema: T, given: unknown): z.infer<T> {
  const read = schema.safeParse(given);
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  throw new UsageError(`--${issue?.path.join(".")}: ${issue?.message}`);
}

const beginning = (values: ReturnType<typeof parse>["values"], message: string) => ({
  ...values,
  message,
  best: Number(values.best ?? 6),
});

const withDefaults = (values: ReturnType<typeof parse>["values"], piece: string) => ({
  ...values,
  piece,
  alternatives: values.alternatives ?? false,
  apart: values.apart ?? false,
  parts: values.parts ?? false,
  pair: values.pair ?? (values.alternatives ? "every-mix" : "in-step"),
  spreads: Number(values.spreads ?? 0),
  sample: values.sample ?? "all",
  format: values.format ?? "png",
  scale: Number(values.scale ?? 1),
  placements: values.placements === undefined ? undefined : placementsOf(values.placements),
  layoutOnly: values["layout-only"] ?? false,
  svgText: values["svg-text"] ?? "outlines",
});

function parse(argv: string[]) {
  try {
    return parseArgs({
      args: argv,
      allowPositionals: true,
      options: {
        brand: { type: "string" },
        placements: { type: "string" },
        catalogue: { type: "string" },
        table: { type: "string" },
        outline: { type: "string" },
        alternatives: { type: "boolean" },
        apart: { type: "boolean" },
        parts: { type: "boolean" },
        pair: { type: "string" },
        spreads: { type: "string" },
        sample: { type: "string" },
        format: { type: "string" },
        scale: { type: "string" },
        "layout-only": { type: "boolean" },
        "svg-text": { type: "string" },
        pictures: { type: "string" },
        template: { type: "string" },
        best: { type: "string" },
        slides: { type: "string" },
        data: { type: "string" },
        out: { type: "string" },
      },
    });
  } catch (error) {
    throw new UsageError(`${(error as Error).message}\n\n${USAGE}`);
  }
}

const placementsOf = (list: string): "all" | string[] =>
  list === "all" ? list : [...new Set(list.split(",").map((id) => id.trim()))];
