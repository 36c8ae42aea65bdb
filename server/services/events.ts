/** Tells every open window of a piece that it has changed. */
export class PieceEvents {
  private readonly listeners = new Map<string, Set<(revision: number) => void>>();

  announce(piece: string, revision: number): void {
    for (const listener of this.listeners.get(piece) ?? []) listener(revision);
  }

  /** Answers the function that ends it. */
  listen(piece: string, listener: (revision: number) => void): () => void {
    const set = this.listeners.get(piece) ?? new Set();
    this.listeners.set(piece, set.add(listener));
    return () => {
      set.delete(listener);
      if (set.size === 0) this.listeners.delete(piece);
    };
  }
}
