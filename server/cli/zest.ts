import { join, resolve } from "node:path";
import { Problem } from "../../core/problem";
import { FacePool, NO_FACES } from "../faces/pool";
import { backup, restore } from "./backup";
import { begin } from "./begin";
import { make } from "./make";
import { outline } from "./outline";
import { readCommand, UsageError, type Options } from "./options";
import { set } from "./set";
import { sheet } from "./sheet";

const root = process.env.ZEST_ROOT ?? process.cwd();

const faces =
  process.env.ZEST_FACES === "no"
    ? NO_FACES
    : new FacePool({ filename: join(import.meta.dirname, "faces.cjs") });
const shipped = { demo: join(root, "demo"), fonts: join(root, "fonts"), faces };

async function run(): Promise<number> {
  const read = readCommand(process.argv.slice(2));
  switch (read.command) {
    case "make":
      return runMake(read.options);
    case "begin": {
      const { names, unknown } = await begin(read.options, shipped);
      sayUnknown(unknown, read.options.pictures ?? "a folder of --pictures");
      console.log(`Began ${names.length} pieces in ${read.options.out}, best first:`);
      for (const name of names) console.log(`  ${name}`);
      return 0;
    }
    case "outline": {
      const leftOut = await outline(read.options);
      console.log(`Wrote ${read.options.out}.`);
      if (leftOut.length > 0) console.log(`On no slide (${leftOut.length}):`);
      for (const { text } of leftOut) console.log(`  ${text}`);
      return 0;
    }
    case "backup": {
      const { file, data } = read.options;
      const size = await backup(folderOf(data), file);
      console.log(`Wrote ${file}, ${(size / 1e6).toFixed(1)} MB.`);
      return 0;
    }
    case "restore": {
      const { file, data } = read.options;
      const replaced = await restore(folderOf(data), file, root);
      const before = replaced ? ` What was there before lies in ${replaced}.` : "";
      console.log(`Restored ${file} to ${folderOf(data)}.${before}`);
      return 0;
    }
    case "set": {
      const names = await set(read.options);
      console.log(`Laid out as a set in ${read.options.out}: ${names.join(", ")}.`);
      return 0;
    }
    case "sheet": {
      const date = new Intl.DateTimeFormat("en-GB", { dateStyle: "long" }).format(new Date());
      const count = await sheet(read.options, shipped, date);
      console.log(`${count} sizes on one page in ${read.options.out}.`);
      return 0;
    }
  }
}

const folderOf = (data: string | undefined): string =>
  data === undefined ? join(root, "data") : resolve(data);

function sayUnknown(pictures: readonly string[], folder: string): void {
  for (const name of pictures)
    console.error(
      `The outline names the picture “${name}”, which is not in ${folder}; it is left out.`,
    );
}

async function runMake(options: Options): Promise<number> {
  const { files, mustFix, notes, unknown } = await make(options, shipped);
  sayUnknown(unknown, "the folder of the piece");
  for (const note of notes) console.error(note.text);
  const what = options.layoutOnly ? "layout reports" : "files";
  console.log(`Made ${files} ${what} in ${options.out}.`);
  if (mustFix > 0)
    console.error(
      `${mustFix} of them have a finding that must be fixed; see their layout reports.`,
    );
  return mustFix > 0 ? 2 : 0;
}

const done = run().finally(() => faces.close());

done.then(
  (status) => (process.exitCode = status),
  (error: unknown) => {
    const known = error instanceof Problem || error instanceof UsageError;
    console.error(known ? error.message : error);
    process.exitCode = 1;
  },
);
