// npm run bench [-- keystroke | batch]: figures as ratios against a baseline in the same run.
import { join } from "node:path";
import { checkNode, ensureBuilt, ensureInstalled, root, run } from "./setup.mjs";

checkNode();
ensureInstalled();
ensureBuilt();
run(process.execPath, [
  "--import",
  "tsx/esm",
  join(root, "bench/run.ts"),
  ...process.argv.slice(2),
]);
