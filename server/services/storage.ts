import { stat } from "node:fs/promises";
import { join } from "node:path";
import type { StorageAnswer } from "../../core/api";
import { isStaged } from "../backup/restore";
import type { Bin } from "./bin";
import type { ServerContext } from "../context";

const KINDS = ["files", "batches", "deliveries", "renditions"] as const;

/** How much room everything takes, and what could be done without. */
export class Storage {
  constructor(
    private readonly context: ServerContext,
    private readonly bin: Bin,
  ) {}

  async look(): Promise<StorageAnswer> {
    const { folder, made, store } = this.context;
    const usage = await Promise.all(
      KINDS.map(async (kind) => ({ kind, ...(await made.used(kind)) })),
    );
    const files = ["zest.db", "zest.db-wal"].map((name) => sizeAt(join(folder, name)));
    const database = (await Promise.all(files)).reduce((sum, size) => sum + size);
    return {
      usage: [...usage, { kind: "documents", count: 1, bytes: database }],
      free: await made.free(),
      unused: await this.bin.unused(),
      bin: await this.bin.list(),
      aside: [...store.aside],
      restoring: await isStaged(folder),
    };
  }
}

/** 0 for what is gone by now. */
const sizeAt = (path: string): Promise<number> =>
  stat(path).then(
    ({ size }) => size,
    () => 0,
  );
