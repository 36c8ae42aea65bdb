// npm run test:torture [-- MINUTES [SEED]]: works the program hard, kills it again and again, and looks whether anything is lost.
import { join } from "node:path";
import { checkNode, ensureBuilt, ensureInstalled, root, run } from "./setup.mjs";

checkNode();
ensureInstalled();
ensureBuilt();
run(process.execPath, [
  "--import",
  "tsx/esm",
  join(root, "tests/torture.ts"),
  ...process.argv.slice(2),
]);
