// npm test: sets itself up and runs every check; closes with the line "N passed, N failed".
import { spawnSync } from "node:child_process";
import { existsSync } from "node:fs";
import { join } from "node:path";
import { checkNode, ensureBuilt, ensureInstalled, root } from "./setup.mjs";

checkNode();
ensureInstalled();
ensureChromium();
ensureBuilt();

const bin = (name) => join(root, "node_modules/.bin", name);
const checks = [
  { name: "format", command: bin("prettier"), args: ["--check", "--log-level", "warn", "."] },
  { name: "lint", command: bin("eslint"), args: ["."] },
  { name: "types", command: bin("vue-tsc"), args: ["--noEmit", "-p", "tsconfig.json"] },
  {
    name: "unit",
    command: bin("mocha"),
    args: ["--config", "tests/unit.mocharc.json"],
    counts: true,
  },
  {
    name: "end to end",
    command: bin("mocha"),
    args: ["--config", "tests/e2e.mocharc.json"],
    counts: true,
  },
];

let passed = 0;
let failed = 0;
for (const check of checks) {
  console.log(`\n── ${check.name}`);
  const result = spawnSync(check.command, check.args, {
    cwd: root,
    encoding: "utf8",
    maxBuffer: 1 << 28,
    stdio: ["ignore", "pipe", "inherit"],
    env: { ...process.env, NODE_ENV: "test" },
  });
  process.stdout.write(result.stdout ?? "");
  const counted = check.counts ? countOf(result.stdout ?? "") : undefined;
  const fine = result.status === 0 && (!check.counts || (counted && counted.passed > 0));
  passed += counted?.passed ?? (fine ? 1 : 0);
  failed += counted?.failed || (fine ? 0 : 1);
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);

/** The runner's own closing line; see tests/support/reporter.cjs. */
function countOf(output) {
  const line = output.match(/^tests: (\d+) passed, (\d+) failed$/m);
  return line ? { passed: Number(line[1]), failed: Number(line[2]) } : undefined;
}

/** The end-to-end tests drive Debian's Chromium. */
function ensureChromium() {
  if (existsSync(process.env.CHROMIUM ?? "/usr/bin/chromium")) return;
  console.log("Installing Chromium for the end-to-end tests …");
  const sudo = process.getuid?.() === 0 ? [] : ["sudo"];
  for (const args of [
    ["update", "-qq"],
    ["install", "-y", "-qq", "--no-install-recommends", "chromium"],
  ]) {
    const [command, ...rest] = [...sudo, "apt-get", ...args];
    const result = spawnSync(command, rest, {
      stdio: ["ignore", "ignore", "inherit"],
      env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
    });
    if (result.status === 0) continue;
    console.error(
      "Chromium could not be installed. Install it (Debian: apt-get install chromium), or set CHROMIUM to where it is.",
    );
    process.exit(1);
  }
}
