import { parseArgs } from "node:util";
import { z } from "zod";
import { ImageFormat } from "../../core/api";
import { Pairing } from "../../core/batch";

export const USAGE = `Usage: npm run zest -- make PIECE.json [options] --out DIR

  --brand KIT.json        the brand kit; else the one that the piece names, looked for near it
  --placements a,b | all  which sizes; else the piece's own
  --catalogue FILE.json   placements of a team, as exported; else those that ship with the program
  --table rows.csv        a variation for each row (CSV or XLSX); its headings name slots
  --alternatives          a variation for each of the wordings that the piece keeps, instead of a table
  --pair in-step | every-mix
  --format png | jpeg | webp | svg   default png
  --svg-text outlines | text     how words go into an SVG; text has its faces built in; default outlines
  --scale 1 | 2 | …       output pixels for each pixel of the placement, 0.1 to 4; default 1
  --layout-only           write the layout reports, no pictures
  --out DIR               where the files go

Exit status: 0 all made, 1 bad input, 2 made, but some sizes have a must-fix finding.`;

const Options = z.object({
  piece: z.string(),
  brand: z.string().optional(),
  placements: z.union([z.literal("all"), z.array(z.string())]).optional(),
  catalogue: z.string().optional(),
  table: z.string().optional(),
  alternatives: z.boolean(),
  pair: Pairing,
  format: ImageFormat,
  scale: z.number().min(0.1).max(4),
  layoutOnly: z.boolean(),
  svgText: z.enum(["outlines", "text"]),
  out: z.string(),
});
export type Options = z.infer<typeof Options>;

/** Thrown for a command line that cannot be followed; the message names the option. */
export class UsageError extends Error {}

export function readOptions(argv: string[]): Options {
  const { values, positionals } = parse(argv);
  const [command, piece, ...rest] = positionals;
  if (command !== "make" || piece === undefined || rest.length > 0) throw new UsageError(USAGE);
  if (values.out === undefined) throw new UsageError("--out: say in which folder the files go");
  const read = Options.safeParse(withDefaults(values, piece));
  if (values.alternatives && values.table !== undefined)
    throw new UsageError("--alternatives: give a table or take what the piece keeps, not both");
  if (!read.success) {
    const [issue] = read.error.issues;
    throw new UsageError(`--${issue?.path.join(".")}: ${issue?.message}`);
  }
  return read.data;
}

const withDefaults = (values: ReturnType<typeof parse>["values"], piece: string) => ({
  ...values,
  piece,
  alternatives: values.alternatives ?? false,
  pair: values.pair ?? (values.alternatives ? "every-mix" : "in-step"),
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
        alternatives: { type: "boolean" },
        pair: { type: "string" },
        format: { type: "string" },
        scale: { type: "string" },
        "layout-only": { type: "boolean" },
        "svg-text": { type: "string" },
        out: { type: "string" },
      },
    });
  } catch (error) {
    throw new UsageError(`${(error as Error).message}\n\n${USAGE}`);
  }
}

const placementsOf = (list: string): "all" | string[] =>
  list === "all" ? list : [...new Set(list.split(",").map((id) => id.trim()))];
