/** Tells whoever listens to something what has become of it. */
export class ChangeEvents<T> {
  private readonly listeners = new Map<string, Set<(now: T) => void>>();

  announce(id: string, now: T): void {
    for (const listener of this.listeners.get(id) ?? []) listener(now);
  }

  isHeard(id: string): boolean {
    return this.listeners.has(id);
  }

  /** Answers the function that ends it. */
  listen(id: string, listener: (now: T) => void): () => void {
    const set = this.listeners.get(id) ?? new Set();
    this.listeners.set(id, set.add(listener));
    return () => {
      set.delete(listener);
      if (set.size === 0) this.listeners.delete(id);
    };
  }
}
