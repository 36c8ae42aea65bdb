import { expect } from "chai";
import fc from "fast-check";
import { freeId, Id } from "./id";

describe("an id", () => {
  it("is what the program and people write", () => {
    for (const id of ["a", "photo-feed-wide", "own-800x600", "1.91x1", "house_2", "A9"])
      expect(Id.safeParse(id).success, id).to.equal(true);
    expect(Id.safeParse("3f2b8c1e-9a77-4c53-8f0e-1f0a6f6d2c11").success).to.equal(true);
    expect(Id.safeParse("x".repeat(80)).success).to.equal(true);
  });

  it("leads nowhere, and is no name that some file system reads otherwise", () => {
    const wrong = [
      "",
      ".",
      "..",
      "../x",
      "/x",
      "a/b",
      "a\\b",
      "a b",
      "a:b",
      "a\0b",
      "-a",
      "a.",
      ".a",
    ];
    for (const id of [...wrong, "ä", "x".repeat(81), "a\n", "a%2fb"])
      expect(Id.safeParse(id).success, JSON.stringify(id)).to.equal(false);
  });
});

describe("an id that is made of words", () => {
  it("is always one, and never taken", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200, unit: "grapheme" }), (words) => {
        const taken = new Set<string>();
        for (let i = 0; i < 3; i++) {
          const id = freeId(words, taken);
          expect(Id.safeParse(id).success, id).to.equal(true);
          expect(taken.has(id)).to.equal(false);
          taken.add(id);
        }
      }),
    );
  });

  it("can be read, and stays what it is where it is one", () => {
    expect(freeId("Frühling & Söhne", new Set())).to.equal("fruhling-sohne");
    expect(freeId("Wide_1.91", new Set())).to.equal("Wide_1.91");
    expect(freeId("story", new Set(["story", "story-2"]))).to.equal("story-3");
    expect(freeId("見出し", new Set(), "placement")).to.equal("placement");
  });
});
