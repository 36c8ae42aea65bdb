// Every suite begins with the demo loaded; it is loaded once, and copied for each. Painting fourteen sizes without a
// graphics card takes most of a test's time: the pieces keep those few that the tests name, unless a suite wants them all.
import { createClient } from "@libsql/client";
import { spawn } from "node:child_process";
import { cp, mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { ensureBuilt, root, serverEnvironment } from "../../scripts/setup.mjs";

const FEW = ["photo-feed-tall", "photo-feed-square", "story", "microblog-wide"];

let folder;

export async function mochaGlobalSetup() {
  ensureBuilt();
  folder = await mkdtemp(join(tmpdir(), "zest-seed-"));
  const whole = join(folder, "whole");
  const few = join(folder, "few");
  const program = spawn(process.execPath, [join(root, "dist/server/main.js")], {
    stdio: ["ignore", "pipe", "inherit"],
    env: {
      ...process.env,
      ...serverEnvironment,
      ZEST_ROOT: root,
      ZEST_DATA: whole,
      ZEST_PORT: "0",
      ZEST_FACES: "no",
      ZEST_BATCHES: "no",
    },
  });
  const ended = new Promise((resolve) => program.once("exit", resolve));
  await new Promise((resolve, reject) => {
    program.stdout.on("data", (chunk) => String(chunk).includes("is ready at") && resolve());
    program.once("exit", (status) => reject(new Error(`The demo was not loaded: ${status}.`)));
  });
  program.kill("SIGTERM");
  await ended;
  await cp(whole, few, { recursive: true });
  await keepFew(join(few, "zest.db"));
  process.env.ZEST_SEED_WHOLE = whole;
  process.env.ZEST_SEED = few;
}

async function keepFew(path) {
  const store = createClient({ url: `file:${path}` });
  const { rows } = await store.execute("select id, document from pieces");
  for (const { id, document } of rows) {
    const piece = JSON.parse(document);
    const sizes = piece.sizes.filter(({ placement }) => FEW.includes(placement));
    if (sizes.length === 0) continue;
    const args = [JSON.stringify({ ...piece, sizes }), id];
    await store.execute({ sql: "update pieces set document = ? where id = ?", args });
  }
  // What was written lies in one file now, also while the closed connection is still being let go of.
  await store.execute("pragma journal_mode = delete");
  store.close();
}

export async function mochaGlobalTeardown() {
  await rm(folder, { recursive: true, force: true });
}
