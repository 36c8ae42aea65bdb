import type { Blobs } from "./files/blobs";
import type { FaceFinder } from "./faces/pool";
import type { FileStore } from "./files/store";
import type { FileSource } from "./files/source";
import type { JobKind } from "./jobs/jobs";
import type { JobQueue } from "./jobs/queue";
import type { Reader } from "./imports/reader";
import type { RenderPool } from "./render/pool";
import type { Store } from "./store/database";

/** What the services work with; made once, at start. The clock is one of them so that tests can hold it. */
export interface ServerContext {
  store: Store;
  blobs: Blobs;
  /** Stored files and shipped fonts. */
  files: FileSource;
  pool: RenderPool;
  faces: FaceFinder;
  reader: Reader;
  jobs: JobQueue<JobKind>;
  /** What batches, deliveries and renditions make. */
  made: FileStore;
  /** The data folder: for what is not finished, and for backups of all of it. */
  folder: string;
  now: () => Date;
  newId: () => string;
}
