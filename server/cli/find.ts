import { readdir, readFile } from "node:fs/promises";
import { dirname, join } from "node:path";
import { Brand } from "../../core/brand";
import { problem } from "../../core/problem";
import { readDocument } from "../../core/reading";

/** The brand kit of that id: beside the piece, one folder up, or shipped with the program. */
export async function findBrand(id: string, near: string[], shipped: string): Promise<Brand> {
  const shippedFolders = await readdir(shipped).catch(() => []);
  const folders = [
    ...near,
    ...near.map(dirname),
    ...shippedFolders.map((name) => join(shipped, name)),
  ];
  for (const folder of folders) {
    for (const name of await readdir(folder).catch(() => [])) {
      if (!name.endsWith(".json")) continue;
      const text = await readFile(join(folder, name), "utf8").catch(() => "");
      const data = parsed(text);
      if (data?.format === "zestcrate/brand" && data.id === id)
        return readDocument(Brand, data, name);
    }
  }
  throw problem("not-found", { what: "brand kit", id });
}

function parsed(text: string): { format?: unknown; id?: unknown } | undefined {
  try {
    return JSON.parse(text) as { format?: unknown; id?: unknown };
  } catch {
    return undefined;
  }
}
