// npm run bench [-- setting | keystroke | batch | growth | hand | lists | kit | memory | refit | pixels | slides | subjects | templates]: figures as ratios against a baseline in the same run.
import { join } from "node:path";
import { checkNode, ensureBuilt, ensureInstalled, root, run } from "./setup.mjs";

checkNode();
ensureInstalled();
ensureBuilt();
// Compiled as the program is: run from source, the engine would be slower than it is.
const { build } = await import("esbuild");
const outfile = join(root, "dist/bench/run.js");
await build({
  entryPoints: [join(root, "bench/run.ts")],
  outfile,
  bundle: true,
  platform: "node",
  target: "node20",
  format: "esm",
  packages: "external",
  logLevel: "warning",
});
run(process.execPath, [outfile, ...process.argv.slice(2)]);
