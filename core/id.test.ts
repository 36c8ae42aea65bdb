import { expect } from "chai";
import { Id } from "./id";

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
