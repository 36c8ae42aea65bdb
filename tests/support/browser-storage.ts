/** A browser's storage, without a browser. */
export class Memory implements Storage {
  private readonly items = new Map<string, string>();
  get length() {
    return this.items.size;
  }
  clear = () => this.items.clear();
  getItem = (key: string) => this.items.get(key) ?? null;
  key = (index: number) => [...this.items.keys()][index] ?? null;
  removeItem = (key: string) => void this.items.delete(key);
  setItem = (key: string, value: string) => void this.items.set(key, value);
}
