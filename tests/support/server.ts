import { rmSync } from "node:fs";
import { cp, mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import type { PlacementLookup } from "../../core/placements";
import { makeApp } from "../../server/app";
import type { App } from "../../server/routes/typed";
import { makeServices, type Services } from "../../server/services/services";
import { loadDemo } from "../../server/demo";
import { Blobs } from "../../server/files/blobs";
import { WithShipped } from "../../server/files/shipped";
import { NO_FACES, type FaceFinder } from "../../server/faces/pool";
import { FolderStore } from "../../server/files/store";
import { Jobs } from "../../server/jobs/jobs";
import { unzipTo } from "../../server/files/unzip";
import { BUNDLE_LIMITS, readBundle, type Bundle } from "../../server/imports/bundle";
import { readerHere } from "../../server/imports/reader";
import { RenderPool } from "../../server/render/pool";
import { Store } from "../../server/store/database";
import { demoFolder, fontFolder, root } from "./demo";

export interface TestServer {
  app: App;
  services: Services;
  store: Store;
  folder: string;
  /** Asks the server without a network; answers status and JSON. */
  ask(
    method: "GET" | "POST" | "PUT" | "DELETE",
    url: string,
    body?: object,
  ): Promise<{ status: number; body: any }>; // eslint-disable-line @typescript-eslint/no-explicit-any
  close(): Promise<void>;
}

/** Reading the demo's pictures takes seconds: a process does it once, and each server begins with a copy. */
let demoData: Promise<string> | undefined;

async function withDemo(): Promise<string> {
  const folder = await newFolder();
  process.once("exit", () => rmSync(folder, { recursive: true, force: true }));
  await (await serverOver(folder, NO_FACES)).close();
  return folder;
}

/** After a clean stop everything stands in the one file; what lies beside it goes when the system comes to it. */
const isWhole = (path: string): boolean => !/\.db-(wal|shm)$/.test(path);

const newFolder = (): Promise<string> => mkdtemp(join(tmpdir(), "zest-test-"));

/** The whole server over a folder of its own, with the demo loaded; its clock moves on whenever it is asked. */
export async function testServer(
  folder?: string,
  faces: FaceFinder = NO_FACES,
): Promise<TestServer> {
  if (folder !== undefined) return serverOver(folder, faces);
  const data = await newFolder();
  await cp(await (demoData ??= withDemo()), data, { recursive: true, filter: isWhole });
  const server = await serverOver(data, faces);
  return {
    ...server,
    async close() {
      await server.close();
      await rm(data, { recursive: true, force: true });
    },
  };
}

async function serverOver(data: string, faces: FaceFinder): Promise<TestServer> {
  const blobs = join(data, "files");
  const pool = new RenderPool(
    { filename: join(root, "dist/server/worker.js") },
    { blobs, fonts: fontFolder },
  );
  const stored = new Blobs(blobs);
  const store = await Store.open(
    `file:${join(data, "zest.db")}`,
    join(root, "server/store/migrations"),
  );
  let ids = 0;
  let time = Date.now();
  const now = () => new Date((time += 10));
  const made = new FolderStore(data);
  const services = makeServices({
    store,
    pool,
    faces,
    reader: readerHere,
    jobs: new Jobs(store, now, () => made.free()),
    made,
    folder: data,
    blobs: stored,
    files: new WithShipped(fontFolder, stored),
    now,
    newId: () => `id-${process.pid}-${Date.now()}-${ids++}`,
  });
  await loadDemo(services, demoFolder);
  const app = await makeApp(services);
  return {
    app,
    services,
    store,
    folder: data,
    async ask(method, url, body) {
      const answer = await app.inject({
        method,
        url,
        headers: { host: "localhost:4310" },
        ...(body ? { payload: body } : {}),
      });
      return { status: answer.statusCode, body: answer.body ? answer.json() : undefined };
    },
    async close() {
      await app.close();
      await services.context.jobs.close();
      await pool.close();
      await store.close();
    },
  };
}

/** The path of a file with these bytes, that is gone when the system says so. */
export async function fileOf(bytes: Uint8Array): Promise<string> {
  const path = join(await mkdtemp(join(tmpdir(), "zest-file-")), "file");
  await writeFile(path, bytes);
  return path;
}

/** What a zip holds, as an import reads it. */
export async function bundleOf(zip: Uint8Array, lookup: PlacementLookup): Promise<Bundle> {
  const path = await fileOf(zip);
  const entries = await unzipTo(path, dirname(path), "a.zip", BUNDLE_LIMITS);
  return readBundle(entries, lookup, readerHere);
}

/** A multipart body with one file. */
export function multipart(
  name: string,
  bytes: Uint8Array,
): { payload: Buffer; headers: Record<string, string> } {
  const boundary = "----zest";
  const head = `--${boundary}\r\nContent-Disposition: form-data; name="file"; filename="${name}"\r\nContent-Type: application/octet-stream\r\n\r\n`;
  const payload = Buffer.concat([Buffer.from(head), bytes, Buffer.from(`\r\n--${boundary}--\r\n`)]);
  return {
    payload,
    headers: {
      "content-type": `multipart/form-data; boundary=${boundary}`,
      host: "localhost:4310",
    },
  };
}

export async function until<T>(ask: () => Promise<T>, fine: (value: T) => boolean): Promise<T> {
  for (let tries = 0; tries < 600; tries++) {
    const value = await ask();
    if (fine(value)) return value;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error("waited for half a minute, and it did not come");
}
