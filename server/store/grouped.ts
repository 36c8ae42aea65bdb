/** Collects what is to be written and writes it together; `add` resolves once its group is written. */
export class Grouped<T> {
  private waiting: T[] = [];
  private group: Promise<void> | undefined;

  constructor(
    private readonly write: (items: T[]) => Promise<unknown>,
    private readonly everyMs: number,
  ) {}

  add(item: T): Promise<void> {
    this.waiting.push(item);
    this.group ??= this.later();
    return this.group;
  }

  private async later(): Promise<void> {
    await new Promise((resolve) => setTimeout(resolve, this.everyMs));
    const items = this.waiting;
    this.waiting = [];
    this.group = undefined;
    await this.write(items);
  }
}
