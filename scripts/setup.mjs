// What every command needs before it can run: packages and a build. Uses only what Node ships.
import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";

export const root = join(import.meta.dirname, "..");
/** The one that people have, whose frames come as they see them. */
export const wholeChromium = process.env.CHROMIUM ?? "/usr/bin/chromium";
/**
 * Debian's Chromium without the windows around its pages, which would be drawn anew for every page that a test opens; the
 * whole one where it cannot be had.
 */
const wanted = process.env.CHROMIUM ?? "/usr/bin/chromium-headless-shell";
export const chromium = {
  package: "chromium-headless-shell",
  wanted,
  path: [wanted, wholeChromium].find((path) => existsSync(path)) ?? wanted,
};
const SOURCES = ["core", "server", "web", "scripts", "package.json", "package-lock.json"];

/** Ends the program with a sentence when this Node is too old to go on. */
export function checkNode() {
  const [major, minor] = process.versions.node.split(".").map(Number);
  if (major > 20 || (major === 20 && minor >= 19)) return;
  console.error(
    `Zest Crate needs Node 20.19 or newer; this is ${process.versions.node}. Install a newer Node and start again.`,
  );
  process.exit(1);
}

export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: "inherit", ...options });
  if (result.status === 0) return;
  const how = result.error?.message ?? `it ended with status ${result.status ?? result.signal}`;
  console.error(`\n“${command} ${args.join(" ")}” did not succeed: ${how}`);
  process.exit(1);
}

/** Installs the packages when they are not there or the lock file has changed since. */
export function ensureInstalled() {
  const stamp = join(root, "node_modules/.zest-installed");
  const wanted = hashOf([join(root, "package-lock.json")]);
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === wanted) return;
  console.log("Installing packages (once; about a minute) …");
  run("npm", ["ci", "--no-audit", "--no-fund", "--loglevel=error"]);
  writeFileSync(stamp, wanted);
}

/** Compiles the one source that the others read as bytes. */
export function ensureKernel() {
  run(process.execPath, [join(root, "scripts/kernel.mjs")]);
}

/** Builds interface and server when a source has changed since the last build. */
export function ensureBuilt() {
  ensureKernel();
  const stamp = join(root, "dist/.built");
  const sources = SOURCES.flatMap((name) => filesIn(join(root, name)));
  const wanted = hashOf(sources.filter((path) => !path.endsWith(".test.ts")));
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === wanted) return;
  console.log("Building …");
  // What is built is what people get, also where a test asks for it.
  const env = { ...process.env, NODE_ENV: "production" };
  run(process.execPath, [join(root, "scripts/build.mjs")], { env });
  mkdirSync(join(root, "dist"), { recursive: true });
  writeFileSync(stamp, wanted);
}

function filesIn(path) {
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name))
    .sort();
}

function hashOf(paths) {
  const hash = createHash("sha256");
  for (const path of paths) hash.update(path.slice(root.length)).update(readFileSync(path));
  return hash.digest("hex");
}

/**
 * For the server's process: keeps the memory of one picture for the next (glibc; ignored elsewhere).
 * A batch asks for the same few megabytes again and again, and getting them anew costs as much as painting.
 * Few arenas, each with an end, so that what many threads have let go of is given back.
 */
export const serverEnvironment = {
  MALLOC_ARENA_MAX: "2",
  MALLOC_MMAP_THRESHOLD_: String(16 * 1024 * 1024),
  MALLOC_TRIM_THRESHOLD_: String(96 * 1024 * 1024),
  MALLOC_TOP_PAD_: String(32 * 1024 * 1024),
};
