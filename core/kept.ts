/** Things that are slow to make, kept by name; the oldest goes first, since the same few are asked for again and again. */
export class Kept<Thing> {
  private readonly things = new Map<string, Promise<Thing>>();

  constructor(private readonly most: number) {}

  get(key: string, make: () => Promise<Thing>): Promise<Thing> {
    const known = this.things.get(key);
    if (known) return known;
    const [oldest] = this.things.keys();
    if (this.things.size >= this.most && oldest !== undefined) this.things.delete(oldest);
    const made = make();
    made.catch(() => this.things.delete(key));
    this.things.set(key, made);
    return made;
  }
}
