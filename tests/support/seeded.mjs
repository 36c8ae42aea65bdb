// Every suite begins with the demo loaded; it is loaded once, and copied for each.
import { spawn } from "node:child_process";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { ensureBuilt, root, serverEnvironment } from "../../scripts/setup.mjs";

let folder;

export async function mochaGlobalSetup() {
  ensureBuilt();
  folder = await mkdtemp(join(tmpdir(), "zest-seed-"));
  const program = spawn(process.execPath, [join(root, "dist/server/main.js")], {
    stdio: ["ignore", "pipe", "inherit"],
    env: {
      ...process.env,
      ...serverEnvironment,
      ZEST_ROOT: root,
      ZEST_DATA: folder,
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
  process.env.ZEST_SEED = folder;
}

export async function mochaGlobalTeardown() {
  await rm(folder, { recursive: true, force: true });
}
