/**
 * Things that are slow to make, kept by name as long as all of them together weigh no more than `most`; what has not been
 * asked for longest goes first. Weights are bytes, or whatever else is scarce.
 */
export class Kept<Thing> {
  private readonly things = new Map<string, { made: Promise<Thing>; weight: number }>();
  private total = 0;

  constructor(
    private readonly most: number,
    private readonly weigh: (thing: Thing) => number,
  ) {}

  /** What is being made weighs nothing until it is there. */
  get(key: string, make: () => Promise<Thing>): Promise<Thing> {
    const known = this.things.get(key);
    if (known) {
      this.things.delete(key);
      this.things.set(key, known);
      return known.made;
    }
    const kept = { made: make(), weight: 0 };
    this.things.set(key, kept);
    kept.made.then(
      (thing) => this.settle(key, kept, this.weigh(thing)),
      () => this.drop(key, kept),
    );
    return kept.made;
  }

  clear(): void {
    this.things.clear();
    this.total = 0;
  }

  private settle(key: string, kept: { weight: number }, weight: number): void {
    if (this.things.get(key) !== kept) return;
    kept.weight = weight;
    this.total += weight;
    for (const [oldest, thing] of this.things) {
      if (this.total <= this.most) return;
      this.drop(oldest, thing);
    }
  }

  private drop(key: string, kept: { weight: number }): void {
    if (this.things.get(key) !== kept) return;
    this.things.delete(key);
    this.total -= kept.weight;
  }
}
