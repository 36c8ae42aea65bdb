import { expect } from "chai";
import { avoided } from "./index";

describe("words to avoid", () => {
  it("are found as whole words and phrases, whatever their case and spaces", () => {
    const phrases = ["unique", "must see", "art", ""];
    expect(avoided("A Unique show, a MUST\n see!", phrases)).to.deep.equal(["unique", "must see"]);
    expect(avoided("Start the party: uniquely smart", phrases)).to.deep.equal([]);
    expect(avoided("Fine art.", phrases)).to.deep.equal(["art"]);
  });
});
