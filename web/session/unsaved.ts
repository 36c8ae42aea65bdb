import type { Edit } from "../../core/edit";
import { EditQueue, restoreEdits } from "./edit-queue";

/** The browser's locks, as far as they are used here. */
export interface Locks {
  request(
    name: string,
    options: { ifAvailable: boolean },
    held: (lock: unknown) => Promise<unknown>,
  ): Promise<unknown>;
}

/**
 * Where a tab keeps what it has not saved: under a key of its own, so that two tabs never write over each other. What tabs
 * that are gone have left is taken on by the next that opens the piece; a lock that lives as long as its tab tells them apart.
 */
export class Unsaved {
  constructor(
    private readonly storage: Storage,
    private readonly locks: Locks,
    private readonly tab: string,
  ) {
    // Held until the page is gone.
    void locks.request(lockOf(tab), { ifAvailable: false }, () => new Promise(() => undefined));
  }

  async queueOf(piece: string): Promise<EditQueue> {
    const before = `unsaved:${piece}`;
    const adopted: Edit[] = [];
    for (const key of keysOf(this.storage)) {
      const [prefix, tab] = [key.slice(0, before.length), key.slice(before.length + 1)];
      if (prefix !== before || tab === this.tab || tab.includes(":")) continue;
      if (key !== before && key[before.length] !== ":") continue;
      if (tab !== "" && !(await this.isGone(tab))) continue;
      adopted.push(...restoreEdits(this.storage, key));
      this.storage.removeItem(key);
    }
    return new EditQueue(this.storage, `${before}:${this.tab}`, adopted);
  }

  private async isGone(tab: string): Promise<boolean> {
    let free = false;
    await this.locks.request(lockOf(tab), { ifAvailable: true }, (lock) => {
      free = lock !== null;
      return Promise.resolve();
    });
    return free;
  }
}

const lockOf = (tab: string): string => `tab:${tab}`;

const keysOf = (storage: Storage): string[] =>
  Array.from({ length: storage.length }, (_, i) => storage.key(i)!);
