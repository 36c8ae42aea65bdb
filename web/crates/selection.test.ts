import { expect } from "chai";
import { createPinia, setActivePinia } from "pinia";
import { useSelection } from "./selection";

describe("pieces that are chosen together", () => {
  const order = ["a", "b", "c", "d", "e"];
  beforeEach(() => setActivePinia(createPinia()));
  const chosen = () => [...useSelection().chosen].sort().join("");

  it("are taken one by one, and with Shift all between", () => {
    const selection = useSelection();
    selection.toggle("b");
    selection.toggleTo("d", order);
    expect(chosen()).to.equal("bcd");
    selection.toggle("c");
    expect(chosen()).to.equal("bd");
    selection.toggleTo("a", order);
    expect(chosen()).to.equal("abcd");
  });

  it("begin with one where nothing was chosen before, and end with nothing", () => {
    const selection = useSelection();
    selection.toggleTo("c", order);
    expect(chosen()).to.equal("c");
    selection.clear();
    expect(selection.count).to.equal(0);
  });

  it("lose what is gone", () => {
    const selection = useSelection();
    selection.toggle("a");
    selection.toggle("e");
    selection.keep(new Set(["e"]));
    expect(chosen()).to.equal("e");
  });
});
