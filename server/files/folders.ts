import { readdir, readFile } from "node:fs/promises";
import { basename, extname, join } from "node:path";
import type { FileId } from "../../core/files";
import { problem } from "../../core/problem";
import { fileId } from "./hash";
import type { FileSource } from "./source";

const ASSETS = new Set([
  ".ttf",
  ".otf",
  ".ttc",
  ".otc",
  ".woff",
  ".woff2",
  ".svg",
  ".png",
  ".jpg",
  ".jpeg",
  ".webp",
  ".avif",
  ".gif",
  ".tif",
  ".tiff",
]);

/** Files found by content in folders: what stands beside a piece on the command line. */
export class FolderFiles implements FileSource {
  private found: Promise<Map<FileId, string>> | undefined;

  constructor(private readonly folders: string[]) {}

  async read(id: FileId): Promise<Buffer> {
    this.found ??= this.scan();
    const path = (await this.found).get(id);
    if (path === undefined) throw problem("file-missing", { document: "The piece", file: id });
    return readFile(path);
  }

  /** Every file's name and id, for tables that name pictures. */
  async names(): Promise<{ id: FileId; name: string }[]> {
    this.found ??= this.scan();
    return [...(await this.found)].map(([id, path]) => ({ id, name: basename(path) }));
  }

  /** Every file's id and path. */
  async paths(): Promise<{ id: FileId; path: string }[]> {
    this.found ??= this.scan();
    return [...(await this.found)].map(([id, path]) => ({ id, path }));
  }

  private async scan(): Promise<Map<FileId, string>> {
    const found = new Map<FileId, string>();
    for (const folder of this.folders) {
      for (const path of await assetsIn(folder)) {
        // What goes meanwhile, or may not be read, is not there; whoever asks for it is told so.
        const bytes = await readFile(path).catch(() => undefined);
        if (bytes) found.set(fileId(bytes), path);
      }
    }
    return found;
  }
}

async function assetsIn(folder: string): Promise<string[]> {
  const entries = await readdir(folder, { withFileTypes: true, recursive: true }).catch(() => []);
  return entries
    .filter((entry) => entry.isFile() && !entry.parentPath.includes("node_modules"))
    .filter(
      (entry) => ASSETS.has(extname(entry.name).toLowerCase()) || /^[0-9a-f]{64}$/.test(entry.name),
    )
    .map((entry) => join(entry.parentPath, entry.name));
}
