import { expect } from "chai";
import { setImmediate } from "node:timers/promises";
import type { Piece } from "../../core/piece";
import type { Painted, ShowRequest } from "./protocol";
import { ShowQueue, type Turn } from "./show-queue";

/** What was begun and shown, in order; each request is painted when its turn is called. */
class Painting {
  readonly said: string[] = [];
  private readonly done = new Map<string, () => void>();

  queue(turn?: () => Turn | undefined): ShowQueue {
    return new ShowQueue({
      show: ({ piece }) => {
        this.said.push(`begins ${piece.id}`);
        return new Promise<Painted[]>((resolve) => this.done.set(piece.id, () => resolve([])));
      },
      complete: () => Promise.resolve(),
      turn: turn ?? (() => undefined),
      onShown: (_, { piece }) => this.said.push(`shows ${piece.id}`),
      onComplete: () => this.said.push("all there"),
    });
  }

  async painted(id: string): Promise<void> {
    this.done.get(id)!();
    await setImmediate();
  }
}

const request = (id: string): ShowRequest =>
  ({ piece: { id } as Piece, tiles: [] }) as unknown as ShowRequest;

describe("what is asked to be shown", () => {
  it("is left out where something newer came while it waited", async () => {
    const painting = new Painting();
    const queue = painting.queue();
    for (const id of ["a", "b", "c"]) queue.show(request(id));
    await painting.painted("a");
    await painting.painted("c");
    expect(painting.said).to.deep.equal([
      "begins a",
      "shows a",
      "begins c",
      "shows c",
      "all there",
    ]);
  });

  it("waits for what a person works on, and then shows the newest", async () => {
    const painting = new Painting();
    const ahead = painting.queue(() => "ahead");
    const behind = painting.queue(() => "behind");
    ahead.show(request("large"));
    behind.show(request("others"));
    behind.show(request("others, newer"));
    ahead.show(request("large, newer"));
    await painting.painted("large");
    expect(painting.said).to.deep.equal(["begins large", "shows large", "begins large, newer"]);
    await painting.painted("large, newer");
    expect(painting.said).to.include("begins others, newer").and.not.include("begins others");
    await painting.painted("others, newer");
    expect(painting.said.at(-2)).to.equal("shows others, newer");
  });

  it("does not wait where nothing is worked on", async () => {
    const painting = new Painting();
    let large = true;
    const behind = painting.queue(() => (large ? "behind" : undefined));
    const ahead = painting.queue(() => "ahead");
    behind.show(request("others"));
    expect(painting.said).to.deep.equal(["begins others"]);
    await painting.painted("others");
    ahead.show(request("large"));
    large = false;
    behind.show(request("wall"));
    expect(painting.said.at(-1)).to.equal("begins wall");
    await painting.painted("large");
    await painting.painted("wall");
    expect(painting.said.slice(-2)).to.include("shows wall");
  });
});
