import { expect } from "chai";
import { Memory } from "../../tests/support/browser-storage";
import { typed as typedIn } from "../../tests/support/edits";
import { EditQueue } from "./edit-queue";

/** All in one gesture of each slot. */
const typed = (to: string, was: string, slot = "headline") => typedIn(to, was, slot, slot);

describe("the edit queue", () => {
  it("joins what is typed into one edit, from the first that was there to the last typed", () => {
    const queue = new EditQueue(new Memory(), "k");
    queue.add(typed("B", ""));
    queue.add(typed("Bo", "B"));
    queue.add(typed("x", "", "support"));
    expect(queue.edits).to.deep.equal([typed("Bo", ""), typed("x", "", "support")]);
  });

  it("does not change an edit that the server may have, until it is saved or refused", () => {
    const queue = new EditQueue(new Memory(), "k");
    queue.add(typed("B", ""));
    expect(queue.hand()).to.deep.equal(typed("B", ""));
    queue.add(typed("Bo", "B"));
    queue.add(typed("Boa", "Bo"));
    expect(queue.edits).to.deep.equal([typed("B", ""), typed("Boa", "B")]);
    queue.done();
    queue.add(typed("Boat", "Boa"));
    queue.hand();
    queue.refused();
    queue.add(typed("Boats", "Boat"));
    expect(queue.edits).to.deep.equal([typed("Boats", "B")]);
  });

  it("does not change what was on its way before a reload either", () => {
    const storage = new Memory();
    new EditQueue(storage, "k").add(typed("B", ""));
    const again = new EditQueue(storage, "k");
    again.add(typed("Bo", "B"));
    expect(again.edits).to.deep.equal([typed("B", ""), typed("Bo", "B")]);
  });

  it("goes on in a browser that has no room", () => {
    const full = Object.assign(new Memory(), {
      setItem: () => {
        throw new Error("no room");
      },
    });
    const queue = new EditQueue(full, "k");
    queue.add(typed("B", ""));
    expect(queue.first).to.deep.equal(typed("B", ""));
  });

  it("is there again after a reload, until it is saved", () => {
    const storage = new Memory();
    new EditQueue(storage, "k").add(typed("B", ""));
    const again = new EditQueue(storage, "k");
    expect(again.first).to.deep.equal(typed("B", ""));
    expect(new EditQueue(storage, "other").first).to.equal(undefined);
    again.done();
    expect(new EditQueue(storage, "k").first).to.equal(undefined);
  });

  it("says anew what an older page has left", () => {
    const storage = new Memory();
    storage.setItem("k", JSON.stringify([{ kind: "text", slot: "headline", to: "B", was: "" }]));
    expect(new EditQueue(storage, "k").edits).to.deep.equal([typedIn("B", "")]);
  });

  it("goes on without what nobody can read, and keeps the rest", () => {
    const storage = new Memory();
    const wrong = [null, 3, { kind: "moon" }, { kind: "wordings", slot: "a", to: 1, was: 2 }, {}];
    storage.setItem("k", JSON.stringify([...wrong, typedIn("B", "")]));
    expect(new EditQueue(storage, "k").edits).to.deep.equal([typedIn("B", "")]);
  });

  it("starts empty when what was kept cannot be read", () => {
    const storage = new Memory();
    storage.setItem("k", "{broken");
    expect(new EditQueue(storage, "k").edits).to.deep.equal([]);
  });
});
