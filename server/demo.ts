import { readdir, readFile } from "node:fs/promises";
import { join, relative } from "node:path";
import { eq, like } from "drizzle-orm";
import { z } from "zod";
import { BatchRequest } from "../core/api";
import type { Store } from "./store/database";
import type { Services } from "./services/services";
import type { Unpacked } from "./files/unzip";
import { readBundle } from "./imports/bundle";
import { importBundle } from "./services/import";
import { settings } from "./store/tables";

/** What is loaded is written down under this and its name; a folder of the demo is called as its brand is. */
const LOADED = "demo:";
const isBatch = (name: string): boolean => name.endsWith("-batch.json");

/** The ids of the brands that came with the demo, there or deleted since. */
export async function demoBrands({ read }: Store): Promise<string[]> {
  const loaded = await read
    .select()
    .from(settings)
    .where(like(settings.key, `${LOADED}%`));
  return loaded.map(({ key }) => key.slice(LOADED.length)).filter((name) => !isBatch(name));
}

/** Imports each folder of the demo once, through the import that a person's own files take. */
export async function loadDemo(services: Services, folder: string): Promise<string[]> {
  const { context, placements } = services;
  const loaded: string[] = [];
  for (const entry of await readdir(folder, { withFileTypes: true })) {
    if (!entry.isDirectory()) continue;
    const key = LOADED + entry.name;
    const [known] = await context.store.read.select().from(settings).where(eq(settings.key, key));
    if (known) continue;
    await importBundle(
      services,
      await readBundle(
        await entriesOf(join(folder, entry.name)),
        await placements.lookup(),
        context.reader,
      ),
    );
    await context.store.write((tx) => tx.insert(settings).values({ key, value: "loaded" }));
    loaded.push(entry.name);
  }
  return loaded;
}

const DemoBatch = z.object({
  piece: z.string(),
  request: BatchRequest,
  /** A table of how it did, beside it. */
  results: z.string().optional(),
});

/** Starts each batch of the demo once; it is made in the background like any other. Throws where its piece is gone. */
export async function startDemoBatches(services: Services, folder: string): Promise<void> {
  const { context, batches, choosing } = services;
  for (const name of await readdir(folder)) {
    if (!isBatch(name)) continue;
    const key = LOADED + name;
    const [known] = await context.store.read.select().from(settings).where(eq(settings.key, key));
    if (known) continue;
    const demo = DemoBatch.parse(JSON.parse(await readFile(join(folder, name), "utf8")));
    await context.store.write((tx) => tx.insert(settings).values({ key, value: "started" }));
    const { id } = await batches.start(demo.piece, demo.request);
    if (!demo.results) continue;
    const { table } = await context.reader.table(join(folder, demo.results), demo.results);
    await choosing.readResults(id, { table });
  }
}

async function entriesOf(folder: string): Promise<Unpacked[]> {
  const entries = await readdir(folder, { withFileTypes: true, recursive: true });
  return entries
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name))
    .map((path) => ({ name: relative(folder, path), path }))
    .sort((a, b) => a.name.localeCompare(b.name));
}
