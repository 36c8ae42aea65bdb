import { expect } from "chai";
import { Memory } from "../../tests/support/browser-storage";
import { typed as typedIn } from "../../tests/support/edits";
import { Unsaved, type Locks } from "./unsaved";

/** The locks of one browser; `close` is what it does when a tab is gone. */
class BrowserLocks implements Locks {
  private readonly held = new Set<string>();

  async request(
    name: string,
    { ifAvailable }: { ifAvailable: boolean },
    call: (lock: unknown) => Promise<unknown>,
  ): Promise<unknown> {
    if (this.held.has(name)) return ifAvailable ? call(null) : new Promise(() => undefined);
    this.held.add(name);
    const result = await call({ name });
    this.held.delete(name);
    return result;
  }

  close = (tab: string) => this.held.delete(`tab:${tab}`);
}

const typed = (to: string) => typedIn(to, "");

describe("what tabs have not saved", () => {
  it("is each tab's own, and the next one's when a tab is gone", async () => {
    const [storage, locks] = [new Memory(), new BrowserLocks()];
    const tab = (id: string) => new Unsaved(storage, locks, id);
    const [one, two] = [tab("1"), tab("2")];
    (await one.queueOf("a")).add(typed("one"));
    (await two.queueOf("a")).add(typed("two"));
    (await two.queueOf("ab")).add(typed("other piece"));
    expect((await two.queueOf("a")).edits).to.deep.equal([typed("two")]);
    locks.close("1");
    expect((await two.queueOf("a")).edits).to.deep.equal([typed("one"), typed("two")]);
    locks.close("2");
    expect((await tab("3").queueOf("a")).edits).to.deep.equal([typed("one"), typed("two")]);
    expect((await tab("4").queueOf("ab")).edits).to.deep.equal([typed("other piece")]);
    expect(storage.length).to.equal(2);
  });

  it("is taken on from before tabs had keys of their own", async () => {
    const storage = new Memory();
    storage.setItem("unsaved:a", JSON.stringify([typed("old")]));
    const queue = await new Unsaved(storage, new BrowserLocks(), "1").queueOf("a");
    expect(queue.edits).to.deep.equal([typed("old")]);
    expect(storage.getItem("unsaved:a")).to.equal(null);
  });
});
