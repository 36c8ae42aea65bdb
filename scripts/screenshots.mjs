// npm run screenshots [NAME …]: takes docs/screenshots anew from the demo data, all or those that are named.
import { join } from "node:path";
import { checkNode, ensureBuilt, ensureInstalled, root, run } from "./setup.mjs";

checkNode();
ensureInstalled();
ensureBuilt();
run(process.execPath, [
  ...["--import", "tsx/esm", join(root, "scripts/take-screenshots.ts")],
  ...process.argv.slice(2),
]);
