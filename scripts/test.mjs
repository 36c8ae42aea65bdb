// npm test: sets itself up and runs every check; closes with the line "N passed, N failed".
import { spawn } from "node:child_process";
import { existsSync } from "node:fs";
import {
  checkNode,
  chromium,
  ensureInstalled,
  ensureKernel,
  root,
  wholeChromium,
} from "./setup.mjs";

checkNode();
const browser = ensureChromium();
ensureInstalled();
ensureKernel();

/** A check is a script of the package, so that it can be run by itself. */
const check = (name, script) => ({ name, script });
const tests = (name, script) => ({ name, script, counts: true });
/**
 * What reads the sources runs beside the unit tests, which begin by building what they run as it is built; the browser has
 * the machine to itself.
 */
const lanes = [
  [
    check("format", "check:format"),
    check("lint", "check:lint"),
    // Each layer by itself sees no more than it may; the tests see them all.
    check("types", "check:types"),
  ],
  [tests("unit", "check:unit"), tests("parts", "check:parts")],
];

let passed = 0;
let failed = 0;
await Promise.all([...lanes.map(runAll), browser]);
await runAll([tests("end to end", "check:e2e")]);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);

/** One after another; what a check said is shown when it is over. */
async function runAll(checks) {
  for (const check of checks) {
    const begun = performance.now();
    const { status, output } = await runOne(check);
    const seconds = Math.round((performance.now() - begun) / 1000);
    process.stdout.write(`\n── ${check.name}, ${seconds} s\n${output}`);
    const counted = check.counts ? countOf(output) : undefined;
    const fine = status === 0 && (!check.counts || (counted && counted.passed > 0));
    passed += counted?.passed ?? (fine ? 1 : 0);
    failed += counted?.failed || (fine ? 0 : 1);
  }
}

function runOne({ script }) {
  const child = spawn("npm", ["run", "--silent", script], {
    cwd: root,
    stdio: ["ignore", "pipe", "pipe"],
    env: { ...process.env, NODE_ENV: "test" },
  });
  let output = "";
  for (const stream of [child.stdout, child.stderr])
    stream.on("data", (chunk) => (output += chunk));
  return new Promise((resolve) => {
    child.once("error", (error) => resolve({ status: 1, output: `${error.message}\n` }));
    child.once("close", (status) => resolve({ status, output }));
  });
}

/** The runner's own closing line; see tests/support/reporter.cjs. */
function countOf(output) {
  const line = output.match(/^tests: (\d+) passed, (\d+) failed$/m);
  return line ? { passed: Number(line[1]), failed: Number(line[2]) } : undefined;
}

/** The end-to-end tests drive Debian's Chromium, which comes while everything else is done. */
async function ensureChromium() {
  if (existsSync(chromium.wanted)) return;
  console.log("Installing Chromium for the end-to-end tests …");
  const sudo = process.getuid?.() === 0 ? "" : "sudo ";
  const install = `${sudo}apt-get install -y -qq --no-install-recommends ${chromium.package}`;
  const child = spawn("sh", ["-c", `${sudo}apt-get update -qq && ${install}`], {
    stdio: ["ignore", "ignore", "inherit"],
    env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
  });
  const status = await new Promise((resolve) =>
    child.once("error", resolve).once("close", resolve),
  );
  if (status === 0 || existsSync(wholeChromium)) return;
  console.error(
    `Chromium could not be installed. Install it (Debian: apt-get install ${chromium.package}), or set CHROMIUM to where one is.`,
  );
  process.exit(1);
}
