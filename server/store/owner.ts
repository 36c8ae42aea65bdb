import { join } from "node:path";
import { createClient } from "@libsql/client";
import { problem } from "../../core/problem";

/**
 * Makes this program the only one at work in a data folder, until it ends. It holds a lock of the database's own kind, that
 * the system takes back from a program however that ends, so that no dead owner is ever in the way.
 * Throws `folder-in-use`.
 */
export async function ownFolder(folder: string): Promise<{ release(): void }> {
  const client = createClient({ url: `file:${join(folder, "zest.lock")}`, concurrency: 1 });
  try {
    const held = await client.transaction("write");
    return {
      release: () => {
        held.close();
        client.close();
      },
    };
  } catch (error) {
    client.close();
    if (/SQLITE_BUSY|database is locked/.test(String(error)))
      throw problem("folder-in-use", { folder });
    throw error;
  }
}
