import type { Painted, ShowRequest } from "./protocol";

/** What a person works on is painted ahead of what only follows it. */
export type Turn = "ahead" | "behind";

interface ShowQueueOptions {
  show: (request: ShowRequest) => Promise<Painted[]>;
  /** Until all pictures are there. */
  complete: () => Promise<void>;
  /** Most is painted as it comes. */
  turn: () => Turn | undefined;
  onShown: (shown: Painted[], request: ShowRequest) => void;
  /** Everything that was asked for is on screen, pictures included. */
  onComplete: () => void;
}

/** Requests of one group are never queued: while one is painted, only the newest of the others waits. */
export class ShowQueue {
  /** What is painted ahead of others now, as far as its pictures are there. */
  private static ahead: Promise<void> | undefined;
  private busy = false;
  private next: ShowRequest | undefined;

  constructor(private readonly options: ShowQueueOptions) {}

  show(request: ShowRequest): void {
    this.next = request;
    if (!this.busy) void this.work();
  }

  private async work(): Promise<void> {
    this.busy = true;
    const shown = this.showAll();
    if (this.options.turn() === "ahead") ShowQueue.ahead = shown;
    await shown;
    if (ShowQueue.ahead === shown) ShowQueue.ahead = undefined;
    this.busy = false;
    await this.options.complete();
    if (!this.busy) this.options.onComplete();
  }

  private async showAll(): Promise<void> {
    while (this.next) {
      while (this.options.turn() === "behind" && ShowQueue.ahead) await ShowQueue.ahead;
      const request = this.next;
      this.next = undefined;
      try {
        this.options.onShown(await this.options.show(request), request);
      } catch (error) {
        console.error("A size could not be painted.", error);
      }
    }
  }
}
