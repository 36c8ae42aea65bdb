import { createClient, type Client } from "@libsql/client";
import { drizzle, type LibSQLDatabase } from "drizzle-orm/libsql";
import { migrate } from "drizzle-orm/libsql/migrator";
import { problem } from "../../core/problem";
import { setAsideUnreadable, type SetAside } from "./aside";
import { bringUpToDate } from "./contents";
import { refuseUnfit } from "./state";
import * as tables from "./tables";

export type Database = LibSQLDatabase<typeof tables>;
export type Transaction = Parameters<Parameters<Database["transaction"]>[0]>[0];

/**
 * The one door to the database. Reads go beside each other; every write is a transaction and
 * waits for the one before, since SQLite has a single writer.
 */
export class Store {
  readonly read: Database;
  /** Rows that could not be read when it was opened. */
  aside: readonly SetAside[] = [];
  private readonly writer: Database;
  private last: Promise<unknown> = Promise.resolve();

  private constructor(
    private readonly clients: [Client, Client],
    /** The folder of the migrations that it knows. */
    readonly migrations: string,
  ) {
    this.read = drizzle(clients[0], { schema: tables });
    this.writer = drizzle(clients[1], { schema: tables });
  }

  /** `url` is a `file:` URL, or the address of a libSQL server. */
  static async open(url: string, migrations: string): Promise<Store> {
    if (url.startsWith(FILE)) {
      const first = createClient({ url, concurrency: 1, timeout: 5000 });
      await refuseUnfit(first, url.slice(FILE.length), migrations).finally(() => first.close());
    }
    const clients: [Client, Client] = [await connect(url), await connect(url)];
    const store = new Store(clients, migrations);
    await migrate(store.writer, { migrationsFolder: migrations });
    await store.write(bringUpToDate);
    store.aside = await unreadableIn(url);
    return store;
  }

  write<T>(change: (transaction: Transaction) => Promise<T>): Promise<T> {
    const turn = this.last.then(() => this.writer.transaction(change).catch(rethrow));
    this.last = turn.catch(() => undefined);
    return turn;
  }

  async close(): Promise<void> {
    await this.last;
    // All of it stands in the one file then, which can be copied.
    await this.clients[1].execute("PRAGMA wal_checkpoint(TRUNCATE)").catch(() => undefined);
    for (const client of this.clients) client.close();
  }
}

const FILE = "file:";

/** Takes out what cannot be read, over a connection that does not hold rows to their references. */
async function unreadableIn(url: string): Promise<SetAside[]> {
  const client = createClient({ url, concurrency: 1, timeout: 5000 });
  try {
    await client.execute("PRAGMA foreign_keys = OFF");
    return await setAsideUnreadable(client, new Date());
  } finally {
    client.close();
  }
}

/** One connection each: pragmas belong to a connection, and are set before it is used. */
async function connect(url: string): Promise<Client> {
  const client = createClient({ url, concurrency: 1, timeout: 5000 });
  if (url.startsWith(FILE)) {
    await client.execute("PRAGMA journal_mode = WAL");
    // What is answered as saved is on the disk, also when the power goes.
    await client.execute("PRAGMA synchronous = FULL");
    await client.execute("PRAGMA foreign_keys = ON");
  }
  return client;
}

function rethrow(error: unknown): never {
  if (/SQLITE_FULL|disk is full|ENOSPC/i.test(String(error))) throw problem("store-full");
  throw error;
}
