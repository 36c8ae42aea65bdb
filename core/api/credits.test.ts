import { expect } from "chai";
import { messagePictures } from "../piece";
import { demoPiece } from "../../tests/support/demo";
import { creditsOf } from "./index";

describe("credits", () => {
  const piece = demoPiece("quillmere", "opening-announcement");
  const id = messagePictures(piece.message)[0]!;

  it("are those of the pictures that a piece shows, where there is one to be said", () => {
    const owed = { name: "Boats.jpg", licence: "Until May" };
    expect(creditsOf(piece, new Map([[id, owed]]))).to.deep.equal({ credits: [owed] });
    expect(creditsOf(piece, new Map([[id, { name: "Boats.jpg" }]]))).to.deep.equal({});
    expect(creditsOf(piece, new Map([["0".repeat(64), owed]]))).to.deep.equal({});
  });
});
