// npm run screenshots: takes docs/screenshots anew from the demo data.
import { join } from "node:path";
import { checkNode, ensureBuilt, ensureInstalled, root, run } from "./setup.mjs";

checkNode();
ensureInstalled();
ensureBuilt();
run(process.execPath, ["--import", "tsx/esm", join(root, "scripts/take-screenshots.ts")]);
