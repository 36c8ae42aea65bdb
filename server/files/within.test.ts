import { join } from "node:path";
import { expect } from "chai";
import fc from "fast-check";
import { Problem } from "../../core/problem";
import { within } from "./within";

describe("a path in a folder", () => {
  it("is where it says", () => {
    expect(within("/data", "batches", "a1", "0-story.png")).to.equal(
      join("/data", "batches", "a1", "0-story.png"),
    );
    expect(within("/data", "0-größe 2.png")).to.equal(join("/data", "0-größe 2.png"));
  });

  it("is never outside, whatever the names are", () => {
    const steps = fc.constantFrom("..", ".", "/", "\\", "a", "", "c:", "\0", "../..", "x/../../y");
    const name = fc.oneof(
      fc.string(),
      fc.array(steps).map((list) => list.join("")),
    );
    fc.assert(
      fc.property(name, name, (one, other) => {
        try {
          expect(within("/data", one, other).startsWith("/data/")).to.equal(true);
          expect(within("/data", one, other).split("/")).to.have.lengthOf(4);
        } catch (error) {
          if (!(error instanceof Problem)) throw error;
          expect(error.code).to.equal("name-unsafe");
        }
      }),
    );
  });

  it("says which name is wrong", () => {
    for (const name of ["../victim", "/etc", "..", "", "a\\b", "c:x"])
      expect(() => within("/data", name), name).to.throw(Problem, "Nothing was written");
  });
});
