import { expect } from "chai";
import { demoPiece } from "../../tests/support/demo";
import { copyPiece, freeTitle, Piece } from "./index";

const piece = demoPiece("quillmere", "opening-announcement");

describe("a piece", () => {
  const broken = (change: object) => Piece.safeParse({ ...piece, ...change });
  const [first, second] = piece.arrangement;

  it("refuses nodes that sit on themselves, on nothing, or share a name", () => {
    const cycle = [
      { ...first!, on: second!.id },
      { ...second!, on: first!.id },
    ];
    expect(broken({ arrangement: cycle }).error?.message).to.contain("would sit on itself");
    expect(broken({ arrangement: [{ ...first!, on: "moon" }] }).error?.message).to.contain(
      "no node “moon”",
    );
    expect(broken({ arrangement: [first, first] }).error?.message).to.contain("two nodes");
  });

  it("is copied without touching the one it came from", () => {
    const copy = copyPiece(piece, "new", "Copy");
    copy.message.headline = { text: "changed" };
    expect(piece.message.headline).to.deep.equal({ text: "Boats at rest" });
  });

  it("gets a title that is free", () => {
    expect(freeTitle("Opening", [])).to.equal("Opening");
    expect(freeTitle("Opening", ["Opening", "Opening 2"])).to.equal("Opening 3");
    expect(freeTitle("Opening 2", ["Opening", "Opening 2"])).to.equal("Opening 3");
  });
});
