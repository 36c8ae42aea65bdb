const { readdirSync, statSync } = require("node:fs");
const { join } = require("node:path");

const folder = join(__dirname, "e2e");
const lengthOf = (name) => statSync(join(folder, name)).size;
/** The longest begin first, so that none is left running alone at the end: more lines do more on a page. */
const ordered = readdirSync(folder)
  .filter((name) => name.endsWith(".test.ts"))
  .sort((a, b) => lengthOf(b) - lengthOf(a));

module.exports = {
  import: "tsx/esm",
  require: ["tests/support/seeded.mjs"],
  spec: ordered.map((name) => `tests/e2e/${name}`),
  reporter: "tests/support/reporter.cjs",
  parallel: true,
  jobs: 2,
  timeout: 90000,
  exit: true,
};
