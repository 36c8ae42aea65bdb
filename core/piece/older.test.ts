import { expect } from "chai";
import { demoPiece } from "../../tests/support/demo";
import { fineKey } from "../preflight";
import { fromOlder, isPicture, Piece, withFineSlots } from "./index";

describe("a piece that was written before pictures had areas", () => {
  const now = demoPiece("quillmere", "opening-announcement");
  const older = (focus: object): unknown => ({
    ...now,
    message: Object.fromEntries(
      Object.entries(now.message).map(([slot, filling]) =>
        isPicture(filling) ? [slot, { picture: filling.picture, focus }] : [slot, filling],
      ),
    ),
  });
  const areaOf = (data: unknown) => {
    const piece = Piece.parse(fromOlder(data));
    const picture = Object.values(piece.message).find(isPicture)!;
    return picture.areas![0]!;
  };

  it("keeps what was in focus, a point as the box that it stood for", () => {
    const box = areaOf(older({ x: 0.5, y: 0.4, width: 0.3, height: 0.5 }));
    expect(box).to.include({ kind: "thing", said: true, weight: 1, width: 0.3, height: 0.5 });
    expect(box.x).to.be.closeTo(0.35, 1e-9);
    expect(box.y).to.be.closeTo(0.15, 1e-9);
    expect(areaOf(older({ x: 1, y: 0 }))).to.include({ x: 0.76, y: 0, width: 0.24 });
  });

  it("has names for its slides", () => {
    const slides = [{ message: {} }, { id: "own", message: {} }];
    const piece = Piece.parse(fromOlder({ ...now, slides }));
    expect(piece.slides!.map(({ id }) => id)).to.deep.equal(["slide-2", "own"]);
  });

  it("is left alone when it is written as now, or is no piece at all", () => {
    expect(fromOlder(now)).to.deep.equal(now);
    for (const data of [null, 3, "x", [], {}]) expect(fromOlder(data)).to.deep.equal(data);
  });
});

describe("what was called fine", () => {
  const now = demoPiece("quillmere", "opening-announcement");

  it("is known by its slot and not by what the slot is called, once and for all", () => {
    const fine = ["story|left-out|cta|call to action", "story|overlap|a|the boats"];
    const once = withFineSlots({ ...now, fine });
    expect(once).to.deep.include({
      fine: ["story|left-out|cta|call-to-action", "story|overlap|a|the boats"],
    });
    expect(withFineSlots(once)).to.deep.equal(once);
    expect(fineKey("story", { code: "left-out", node: "cta", slot: "call-to-action" })).to.equal(
      (once as { fine: string[] }).fine[0],
    );
  });
});
