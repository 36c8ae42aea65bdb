const { readdirSync } = require("node:fs");
const { join } = require("node:path");

/** The longest begin first, so that none is left running alone at the end. */
const LONG = ["workbench", "accessibility", "message", "begin", "parity", "program"];
const isTest = /\.test\.ts$/;
const names = readdirSync(join(__dirname, "e2e")).filter((name) => isTest.test(name));
const rank = (name) => {
  const at = LONG.indexOf(name.replace(isTest, ""));
  return at < 0 ? LONG.length : at;
};
const ordered = names.sort((a, b) => rank(a) - rank(b) || a.localeCompare(b));

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
