import { randomUUID } from "node:crypto";
import { mkdir } from "node:fs/promises";
import { join } from "node:path";
import { makeApp, makeServices } from "./app";
import { loadDemo } from "./demo";
import { FacePool, NO_FACES } from "./faces/pool";
import { Blobs } from "./files/blobs";
import { WithShipped } from "./files/shipped";
import { RenderPool } from "./render/pool";
import { Store } from "./store/database";

/** Where everything lies; the starter passes it in the environment. */
const root = process.env.ZEST_ROOT ?? process.cwd();
const folder = process.env.ZEST_DATA ?? join(root, "data");
const port = Number(process.env.ZEST_PORT ?? 4310);

const say = (text: string) => console.log(text);

async function start(): Promise<void> {
  await mkdir(folder, { recursive: true });
  const url = process.env.ZEST_DATABASE ?? `file:${join(folder, "zest.db")}`;
  const store = await Store.open(url, join(root, "server/store/migrations"));
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
  const stored = new Blobs(blobs);
  const services = makeServices({
    store,
    pool,
    faces,
    folder,
    blobs: stored,
    files: new WithShipped(fonts, stored),
    now: () => new Date(),
    newId: () => randomUUID(),
  });
  if (process.env.ZEST_DEMO !== "no") {
    const loaded = await loadDemo(services, join(root, "demo"));
    if (loaded.length > 0) say(`Loaded the demo: ${loaded.join(", ")}.`);
  }
  const app = await makeApp(services, join(root, "dist/web"));
  await app.listen({ port, host: "127.0.0.1" });
  await services.deliveries.failInterrupted();
  await services.library.lookAgain();
  await services.batches.resume();
  // Nobody waits for it; what it has not come to is looked at after the next start.
  services.library.lookForFaces().catch((error: Error) => say(`Faces: ${error.message}`));
  say(`Zest Crate is ready at http://localhost:${port}  (stop it with Ctrl+C)`);

  const stop = async () => {
    await app.close();
    await services.batches.pause();
    await Promise.all([pool.close(), faces.close()]);
    await store.close();
    process.exit(0);
  };
  process.once("SIGINT", () => void stop());
  process.once("SIGTERM", () => void stop());
}

start().catch((error: NodeJS.ErrnoException) => {
  console.error(explain(error));
  process.exit(1);
});

/** What a person can do about a start that failed. */
function explain(error: NodeJS.ErrnoException): string {
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
