import { mkdir, writeFile } from "node:fs/promises";
import { basename, join } from "node:path";
import { catalogue, lookupIn } from "../../core/placements";
import { asSet, membersOf } from "../../core/siblings";
import { readPiece } from "../imports/bundle";
import { readJson } from "./documents";
import { UsageError, type SetOptions } from "./options";

/** Writes pieces laid out as a set, in the arrangement of the first, under their names; answers those. */
export async function set({ pieces, out }: SetOptions): Promise<string[]> {
  const names = pieces.map((path) => basename(path));
  const twice = names.find((name, at) => names.indexOf(name) < at);
  if (twice !== undefined)
    throw new UsageError(`${twice}: two pieces have this name; their files would be one`);
  const read = await Promise.all(
    pieces.map(async (path) =>
      readPiece(await readJson(path), basename(path), lookupIn(catalogue)),
    ),
  );
  const members = membersOf(read[0]!, read);
  await mkdir(out, { recursive: true });
  const laid = asSet(read[0]!.id, read[0]!, members);
  const written = laid.map((_, at) => names[read.indexOf(members[at]!)]!);
  for (const [at, piece] of laid.entries())
    await writeFile(join(out, written[at]!), `${JSON.stringify(piece, null, 2)}\n`);
  return written;
}
