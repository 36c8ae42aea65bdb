import { readdir } from "node:fs/promises";
import { join, relative } from "node:path";
import { eq } from "drizzle-orm";
import type { Services } from "./services/services";
import type { Unpacked } from "./files/unzip";
import { readBundle } from "./imports/bundle";
import { importBundle } from "./services/import";
import { settings } from "./store/tables";

/** Imports each folder of the demo once, through the import that a person's own files take. */
export async function loadDemo(services: Services, folder: string): Promise<string[]> {
  const { context, placements } = services;
  const loaded: string[] = [];
  for (const entry of await readdir(folder, { withFileTypes: true })) {
    if (!entry.isDirectory()) continue;
    const key = `demo:${entry.name}`;
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

async function entriesOf(folder: string): Promise<Unpacked[]> {
  const entries = await readdir(folder, { withFileTypes: true, recursive: true });
  return entries
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name))
    .map((path) => ({ name: relative(folder, path), path }))
    .sort((a, b) => a.name.localeCompare(b.name));
}
