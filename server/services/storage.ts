import { readdir, stat } from "node:fs/promises";
import { join } from "node:path";
import type { StorageAnswer } from "../../core/api";
import { isStaged } from "../backup/restore";
import { freeIn } from "../files/scratch";
import type { Bin } from "./bin";
import type { Surroundings } from "./services";

/** What lies in folders of its own, each called as it is. */
const FOLDERS = ["files", "batches", "deliveries", "renditions"] as const;

/** How much room everything takes, and what could be done without. */
export class Storage {
  constructor(
    private readonly around: Surroundings,
    private readonly bin: Bin,
  ) {}

  async look(): Promise<StorageAnswer> {
    const { folder, store } = this.around;
    const usage = await Promise.all(
      FOLDERS.map(async (kind) => ({ kind, ...(await sizeOf(join(folder, kind))) })),
    );
    const files = ["zest.db", "zest.db-wal"].map((name) => sizeAt(join(folder, name)));
    const database = (await Promise.all(files)).reduce((sum, size) => sum + size);
    return {
      usage: [...usage, { kind: "documents", count: 1, bytes: database }],
      free: await freeIn(folder),
      unused: await this.bin.unused(),
      bin: await this.bin.list(),
      aside: [...store.aside],
      restoring: await isStaged(folder),
    };
  }
}

async function sizeOf(folder: string): Promise<{ count: number; bytes: number }> {
  const entries = await readdir(folder, { recursive: true, withFileTypes: true }).catch(() => []);
  const files = entries.filter((entry) => entry.isFile());
  let bytes = 0;
  for (const { parentPath, name } of files) bytes += await sizeAt(join(parentPath, name));
  return { count: files.length, bytes };
}

/** 0 for what is gone by now. */
const sizeAt = (path: string): Promise<number> =>
  stat(path).then(
    ({ size }) => size,
    () => 0,
  );
