import type { BatchAnswer } from "../../core/api";
import { ChangeEvents } from "./events";

/** Milliseconds. */
const TELL_EVERY = 200;

/** Tells whoever listens to a piece how far its batches are. */
export class BatchNews {
  private readonly events = new ChangeEvents<BatchAnswer>();
  private readonly waiting = new Set<string>();
  private telling: Promise<void> = Promise.resolve();

  constructor(private readonly get: (batch: string) => Promise<BatchAnswer>) {}

  /** Answers the function that ends it. */
  listen(piece: string, listener: (now: BatchAnswer) => void): () => void {
    return this.events.listen(piece, listener);
  }

  /** Files come by the dozen in a second; what is told of them is told a few times. */
  soon({ id, piece }: { id: string; piece: string }): void {
    if (this.waiting.has(id) || !this.events.isHeard(piece)) return;
    this.waiting.add(id);
    setTimeout(() => {
      this.waiting.delete(id);
      void this.now(id);
    }, TELL_EVERY).unref();
  }

  /** One after another, so that nobody is told last what was before. Of what is no batch, or gone meanwhile, nothing is told. */
  now(id: string): Promise<void> {
    const tell = async (): Promise<void> => {
      const now = await this.get(id).catch(() => undefined);
      if (now) this.events.announce(now.piece, now);
    };
    return (this.telling = this.telling.then(tell));
  }
}
