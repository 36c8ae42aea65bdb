// Begins threads as the program does, with the flags that it is called with, and ends each pool while they load.
import { join } from "node:path";
import { setTimeout as wait } from "node:timers/promises";
import Piscina from "piscina";

const root = join(import.meta.dirname, "../..");
for (let round = 0; round < 12; round++) {
  const pool = new Piscina({
    filename: join(root, "dist/server/worker.js"),
    workerData: { blobs: join(root, "demo"), fonts: join(root, "fonts") },
    minThreads: 2,
    maxThreads: 2,
    execArgv: process.argv.slice(2),
  });
  pool.on("error", () => undefined);
  await wait(120 + ((37 * round) % 400));
  await pool.destroy();
}
