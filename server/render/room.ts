/**
 * Lets in as much at once as there is room for, in the order in which it comes. What is larger than all of it is let in alone.
 */
export class RoomFor {
  private taken = 0;
  private readonly waiting: { weight: number; enter: () => void }[] = [];

  constructor(private readonly most: number) {}

  async use<T>(weight: number, run: () => Promise<T>): Promise<T> {
    if (this.waiting.length > 0 || !this.fits(weight))
      await new Promise<void>((enter) => this.waiting.push({ weight, enter }));
    else this.taken += weight;
    try {
      return await run();
    } finally {
      this.taken -= weight;
      this.admit();
    }
  }

  private fits(weight: number): boolean {
    return this.taken === 0 || this.taken + weight <= this.most;
  }

  private admit(): void {
    for (let next = this.waiting[0]; next && this.fits(next.weight); next = this.waiting[0]) {
      this.waiting.shift();
      this.taken += next.weight;
      next.enter();
    }
  }
}
