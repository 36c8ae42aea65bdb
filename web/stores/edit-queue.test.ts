import { expect } from "chai";
import type { Edit } from "../../core/piece";
import { EditQueue } from "./edit-queue";

class Memory implements Storage {
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

const typed = (to: string, was: string, slot = "headline"): Edit => ({
  kind: "text",
  slot,
  to,
  was,
});

describe("the edit queue", () => {
  it("joins what is typed into one edit, from the first that was there to the last typed", () => {
    const queue = new EditQueue(new Memory(), "k");
    queue.add(typed("B", ""), false);
    queue.add(typed("Bo", "B"), false);
    queue.add(typed("x", "", "support"), false);
    expect(queue.edits).to.deep.equal([typed("Bo", ""), typed("x", "", "support")]);
  });

  it("does not change an edit that is on its way", () => {
    const queue = new EditQueue(new Memory(), "k");
    queue.add(typed("B", ""), false);
    queue.add(typed("Bo", "B"), true);
    queue.add(typed("Boa", "Bo"), true);
    expect(queue.edits).to.deep.equal([typed("B", ""), typed("Boa", "B")]);
  });

  it("is there again after a reload, until it is saved", () => {
    const storage = new Memory();
    new EditQueue(storage, "k").add(typed("B", ""), false);
    const again = new EditQueue(storage, "k");
    expect(again.first).to.deep.equal(typed("B", ""));
    expect(new EditQueue(storage, "other").first).to.equal(undefined);
    again.done();
    expect(new EditQueue(storage, "k").first).to.equal(undefined);
  });

  it("starts empty when what was kept cannot be read", () => {
    const storage = new Memory();
    storage.setItem("k", "{broken");
    expect(new EditQueue(storage, "k").edits).to.deep.equal([]);
  });
});
