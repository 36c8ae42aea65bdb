import { expect } from "chai";
import { createPinia, setActivePinia } from "pinia";
import { useToasts } from "./toasts";

describe("messages", () => {
  beforeEach(() => setActivePinia(createPinia()));

  it("say a failure once, however often it is met, until it is closed", () => {
    const toasts = useToasts();
    toasts.fail(new Error("The disk is full."));
    toasts.fail(new Error("The disk is full."));
    toasts.fail("Something else");
    expect(toasts.toasts.map(({ text }) => text)).to.deep.equal([
      "The disk is full.",
      "Something else",
    ]);
    toasts.close(toasts.toasts[0]!.id);
    expect(toasts.toasts).to.have.lengthOf(1);
  });

  it("go with the page that they are about, but for what has led on to the next", () => {
    const toasts = useToasts();
    toasts.fail("of before");
    toasts.toasts[0]!.since -= 5000;
    toasts.fail("just now");
    toasts.leave();
    expect(toasts.toasts.map(({ text }) => text)).to.deep.equal(["just now"]);
  });
});
