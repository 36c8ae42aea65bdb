import { randomUUID } from "node:crypto";
import { mkdir, readdir, stat } from "node:fs/promises";
import { createServer } from "node:net";
import { join } from "node:path";
import { Problem, problem } from "../core/problem";
import { makeApp } from "./app";
import { makeServices } from "./services/services";
import { loadDemo, startDemoBatches } from "./demo";
import { takeRestored } from "./backup/restore";
import { FacePool, NO_FACES } from "./faces/pool";
import { Blobs } from "./files/blobs";
import { WithShipped } from "./files/shipped";
import { sweep } from "./files/scratch";
import { FolderStore } from "./files/store";
import { Jobs } from "./jobs/jobs";
import { ReaderProcesses } from "./imports/reader";
import { RenderPool } from "./render/pool";
import { Store } from "./store/database";
import { ownFolder } from "./store/owner";

/** Where everything lies; the starter passes it in the environment. */
const root = process.env.ZEST_ROOT ?? process.cwd();
const folder = process.env.ZEST_DATA ?? join(root, "data");
const port = Number(process.env.ZEST_PORT ?? 4310);

const DAY = 24 * 60 * 60 * 1000;

const now = () => new Date();
const say = (text: string) => console.log(text);

async function start(): Promise<void> {
  await mkdir(folder, { recursive: true });
  await claimable(port);
  const owner = await ownFolder(folder);
  const replaced = await takeRestored(folder, now());
  if (replaced) say(`Restored the backup. What was there before lies in ${replaced}.`);
  await sweep(folder);
  const database = join(folder, "zest.db");
  if (!process.env.ZEST_DATABASE) await refuseEmpty(database);
  const url = process.env.ZEST_DATABASE ?? `file:${database}`;
  const store = await Store.open(url, join(root, "server/store/migrations"));
  for (const { table, id, why } of store.aside)
    say(
      `“${id}” of ${table} cannot be read (${why}) and was set aside as it is; all else is there.`,
    );
  const blobs = join(folder, "files");
  const fonts = join(root, "fonts");
  const pool = new RenderPool(
    { filename: join(import.meta.dirname, "worker.js") },
    { blobs, fonts },
  );
  const faces =
    process.env.ZEST_FACES === "no"
      ? NO_FACES
      : new FacePool({ filename: join(import.meta.dirname, "faces.cjs") });
  const reader = new ReaderProcesses(join(import.meta.dirname, "process.js"));
  const stored = new Blobs(blobs);
  const made = new FolderStore(folder);
  const jobs = new Jobs(store, now, () => made.free());
  const services = makeServices({
    store,
    pool,
    faces,
    reader,
    jobs,
    made,
    folder,
    blobs: stored,
    files: new WithShipped(fonts, stored),
    now,
    newId: () => randomUUID(),
  });
  if (process.env.ZEST_DEMO !== "no") {
    const loaded = await loadDemo(services, join(root, "demo"));
    if (loaded.length > 0) say(`Loaded the demo: ${loaded.join(", ")}.`);
  }
  const app = await makeApp(services, join(root, "dist/web"));
  // A last resort: a failure that no code waits for is told, and costs nobody else their work.
  process.on("unhandledRejection", (reason) =>
    console.error(
      `A failure that nothing waited for: ${reason instanceof Error ? reason.stack : String(reason)}`,
    ),
  );
  stopOnSignals(async () => {
    await Promise.all([app.close(), jobs.close()]);
    await Promise.all([pool.close(), faces.close(), reader.close()]);
    await store.close();
    owner.release();
  });
  // What was begun before is taken up before anything new can be asked for.
  await jobs.recover();
  await services.bin.empty();
  setInterval(
    () => services.bin.empty().catch((error: Error) => say(`The bin: ${error.message}`)),
    DAY,
  ).unref();
  await app.listen({ port, host: "127.0.0.1" });
  if (process.env.ZEST_DEMO !== "no" && process.env.ZEST_BATCHES !== "no")
    startDemoBatches(services, join(root, "demo")).catch((error: Error) =>
      say(`The demo's batch: ${error.message}`),
    );
  // Many pieces take a second to be read for the first time: that is begun before somebody asks. Who asks is told what fails.
  services.pieces.crates().catch(() => undefined);
  // Nobody waits for it; what it has not come to is looked at after the next start.
  services.library
    .lookAgain()
    .then(() => services.library.lookForFaces())
    .catch((error: Error) => say(`Looking at pictures: ${error.message}`));
  say(`Zest Crate is ready at http://localhost:${port}  (stop it with Ctrl+C)`);
}

/** Ends the program in order when it is told to, or when the starter is gone and nobody could tell it any more. */
function stopOnSignals(stop: () => Promise<void>): void {
  let stopping = false;
  const end = () => {
    // A terminal tells the starter and this program, and the starter tells this program again.
    if (stopping) return;
    stopping = true;
    stop()
      .then(() => process.exit(0))
      .catch((error: Error) => {
        console.error(error.message);
        process.exit(1);
      });
  };
  process.on("SIGINT", end).on("SIGTERM", end).on("disconnect", end);
}

/** Fails at once where the port is taken, before anything is read or written. */
async function claimable(wanted: number): Promise<void> {
  const trial = createServer();
  await new Promise<void>((resolve, reject) =>
    trial.once("error", reject).listen(wanted, "127.0.0.1", resolve),
  );
  await new Promise((resolve) => trial.close(resolve));
}

/** Stored files without their database are no new folder. */
async function refuseEmpty(database: string): Promise<void> {
  const { size } = await stat(database).catch(() => ({ size: 0 }));
  const stored = size > 0 ? [] : await readdir(join(folder, "files")).catch(() => []);
  if (stored.length > 0) throw problem("store-empty", { folder });
}

start().catch((error: NodeJS.ErrnoException) => {
  console.error(explain(error));
  process.exit(1);
});

/** What a person can do about a start that failed. */
function explain(error: NodeJS.ErrnoException): string {
  if (error instanceof Problem) return error.message;
  const text = `${error.code ?? ""} ${error.message}`;
  if (text.includes("EADDRINUSE")) {
    return `Port ${port} is taken by another program (perhaps Zest Crate is running already: look at http://localhost:${port}). Close that program, or choose another port: npm start -- --port ${port + 1}`;
  }
  if (/ENOSPC|SQLITE_FULL|disk is full/.test(text)) {
    return `The disk is full, so ${folder} cannot be written. Nothing that was saved is lost. Free some space, or choose another folder: npm start -- --data FOLDER`;
  }
  if (
    /EACCES|EPERM|EROFS|ENOTDIR|EEXIST|SQLITE_CANTOPEN|SQLITE_READONLY|unable to open/.test(text)
  ) {
    return `The data folder ${folder} cannot be written. Give yourself the right to write there, or choose another: npm start -- --data FOLDER`;
  }
  return `Zest Crate could not start: ${error.message}\nWhat was saved before is safe in ${folder}.`;
}
