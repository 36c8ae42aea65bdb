import { expect } from "chai";
import type { ListedPiece, StoredPicture } from "../../core/api";
import { isPicture, Piece } from "../../core/piece";
import { demoPiece } from "../../tests/support/demo";
import { isWanted, shapeOf, usersOf, withPictureReplaced } from "./picture-filter";

const picture = (name: string, width: number, height: number): StoredPicture =>
  ({ name, width, height }) as StoredPicture;

describe("pictures", () => {
  const boats = demoPiece("quillmere", "opening-announcement");
  const [slot, filling] = Object.entries(boats.message).find(([, one]) => isPicture(one))!;
  const id = isPicture(filling) ? filling.picture : "";

  it("are found by name, credit, colour, shape and use, all of them together", () => {
    const wide = picture("Boats.jpg", 1200, 800);
    const any = { find: "", colour: "", shape: "", use: "" } as const;
    expect(isWanted(wide, true, { ...any, find: "boat", shape: "wide" })).to.equal(true);
    expect(isWanted(wide, true, { ...any, shape: "upright" })).to.equal(false);
    expect(isWanted(wide, true, { ...any, use: "unused" })).to.equal(false);
    const blue: StoredPicture = { ...wide, colours: ["blue", "grey"], credit: "Photo: Ana Ruiz" };
    expect(isWanted(blue, true, { ...any, colour: "blue", find: "ruiz" })).to.equal(true);
    expect(isWanted(blue, true, { ...any, colour: "red" })).to.equal(false);
    expect(isWanted(wide, true, { ...any, colour: "blue" })).to.equal(false);
    expect([shapeOf(picture("", 100, 104)), shapeOf(picture("", 100, 200))]).to.deep.equal([
      "square",
      "upright",
    ]);
  });

  it("name the pieces that show them, each once", () => {
    const twice = { id: "boats", pictures: [id, id] } as ListedPiece;
    expect(usersOf([twice]).get(id)).to.deep.equal([twice]);
  });

  it("are replaced wherever a piece shows them, without what was said of the one before", () => {
    const to = "a".repeat(64);
    const after = Piece.parse(withPictureReplaced(boats, id, to));
    expect(after.message[slot]).to.deep.equal({ picture: to });
    expect(withPictureReplaced(boats, to, id)).to.deep.equal(boats);
  });
});
