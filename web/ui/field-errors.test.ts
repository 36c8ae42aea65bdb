import { expect } from "chai";
import { OwnSize } from "../../core/placements";
import { errorsIn } from "./field-errors";

describe("what is wrong with a form", () => {
  const margins = { top: 0, right: 0, bottom: 0, left: 0 };

  it("stands at its field, in the words of the schema, the first of each", () => {
    const wrong = { width: 0, height: 30_000, use: "post", margins: { ...margins, left: -3 } };
    expect(errorsIn(OwnSize.safeParse(wrong))).to.deep.equal({
      width: "A side has at least 1 px.",
      height: "A side has at most 20 000 px.",
      "margins.left": "A margin is not negative.",
    });
  });

  it("is nothing where all is right", () => {
    const right = { width: 10, height: 10, use: "post", margins };
    expect(errorsIn(OwnSize.safeParse(right))).to.deep.equal({});
  });
});
