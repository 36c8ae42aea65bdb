// npm run zest: the engine from the command line.
import { spawnSync } from "node:child_process";
import { join } from "node:path";
import { checkNode, ensureBuilt, ensureInstalled, root } from "./setup.mjs";

checkNode();
ensureInstalled();
ensureBuilt();
const result = spawnSync(
  process.execPath,
  ["--enable-source-maps", join(root, "dist/server/zest.js"), ...process.argv.slice(2)],
  {
    cwd: process.env.INIT_CWD ?? process.cwd(),
    stdio: "inherit",
    env: { ...process.env, ZEST_ROOT: root },
  },
);
process.exit(result.status ?? 1);
