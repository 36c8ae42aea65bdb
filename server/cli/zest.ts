import { join } from "node:path";
import { Problem } from "../../core/problem";
import { make } from "./make";
import { readOptions, UsageError } from "./options";

const root = process.env.ZEST_ROOT ?? process.cwd();

async function run(): Promise<number> {
  const options = readOptions(process.argv.slice(2));
  const { files, mustFix, notes } = await make(options, {
    demo: join(root, "demo"),
    fonts: join(root, "fonts"),
  });
  for (const note of notes) console.error(note.text);
  const what = options.layoutOnly ? "layout reports" : "files";
  console.log(`Made ${files} ${what} in ${options.out}.`);
  if (mustFix > 0)
    console.error(
      `${mustFix} of them have a finding that must be fixed; see their layout reports.`,
    );
  return mustFix > 0 ? 2 : 0;
}

run().then(
  (status) => (process.exitCode = status),
  (error: unknown) => {
    const known = error instanceof Problem || error instanceof UsageError;
    console.error(known ? error.message : error);
    process.exitCode = 1;
  },
);
