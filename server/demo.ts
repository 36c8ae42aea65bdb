import { readdir, readFile } from "node:fs/promises";
import { join, relative } from "node:path";
import { eq } from "drizzle-orm";
import type { Services } from "./app";
import { readBundle } from "./imports/bundle";
import { importBundle } from "./imports/import";
import { settings } from "./store/tables";

/** Imports each folder of the demo once, through the import that a person's own files take. */
export async function loadDemo(services: Services, folder: string): Promise<string[]> {
  const { around, placements } = services;
  const loaded: string[] = [];
  for (const entry of await readdir(folder, { withFileTypes: true })) {
    if (!entry.isDirectory()) continue;
    const key = `demo:${entry.name}`;
    const [known] = await around.store.read.select().from(settings).where(eq(settings.key, key));
    if (known) continue;
    await importBundle(
      services,
      await readBundle(await entriesOf(join(folder, entry.name)), await placements.lookup()),
    );
    await around.store.write((tx) => tx.insert(settings).values({ key, value: "loaded" }));
    loaded.push(entry.name);
  }
  return loaded;
}

async function entriesOf(folder: string): Promise<Map<string, Uint8Array>> {
  const entries = await readdir(folder, { withFileTypes: true, recursive: true });
  const files = entries.filter((entry) => entry.isFile());
  const pairs = files.map(async (entry) => {
    const path = join(entry.parentPath, entry.name);
    return [relative(folder, path), await readFile(path)] as const;
  });
  return new Map((await Promise.all(pairs)).sort(([a], [b]) => a.localeCompare(b)));
}
