import { LRUCache } from "lru-cache";

/**
 * Things that are slow to make, kept by name as long as all of them together weigh no more than `most`; what has not been
 * asked for longest goes first. Weights are bytes, or whatever else is scarce. Each is made once for all who ask meanwhile,
 * and again after a failure.
 */
export class Cache<Thing extends object | string | number> {
  private readonly cache: LRUCache<string, Thing, () => Promise<Thing>>;

  constructor(most: number, weigh: (thing: Thing) => number) {
    this.cache = new LRUCache({
      maxSize: most,
      sizeCalculation: (thing) => Math.max(1, weigh(thing)),
      fetchMethod: (_key, _before, { context: make }) => make(),
      // Whoever asked gets it, though it is not to be kept any more.
      ignoreFetchAbort: true,
    });
  }

  async get(key: string, make: () => Promise<Thing>): Promise<Thing> {
    // What is made is never undefined.
    return (await this.cache.fetch(key, { context: make }))!;
  }

  /** Whether it is there; what is being made is not yet. */
  has(key: string): boolean {
    return this.cache.has(key);
  }

  clear(): void {
    this.cache.clear();
  }
}
