import { expect } from "chai";
import fc from "fast-check";
import { Area } from "../../../core/files";
import { alone, drawn, grown, moved, pointedAt, toggled, describeAreas } from "./areas";

const face = (x: number): Area => ({
  kind: "face",
  x,
  y: 0.2,
  width: 0.1,
  height: 0.2,
  weight: 0.9,
});
const found: Area = { kind: "thing", x: 0.3, y: 0.3, width: 0.4, height: 0.4, weight: 1 };
const share = fc.double({ min: 0, max: 1, noNaN: true });

describe("what a person says of a picture's areas", () => {
  it("stays inside the picture, whatever is pointed at, drawn, moved or grown", () => {
    fc.assert(
      fc.property(
        share,
        share,
        share,
        share,
        fc.double({ min: 0.1, max: 9, noNaN: true }),
        (a, b, c, d, by) => {
          const made = [
            pointedAt([found], { x: a, y: b }),
            drawn([found], { x: a, y: b }, { x: c, y: d }),
            moved([found], { x: a - 0.5, y: b - 0.5 }),
            grown(drawn([], { x: a, y: b }, { x: c, y: d }), by),
          ];
          for (const [area] of made) {
            expect(Area.safeParse(area).success).to.equal(true);
            expect(area!.x + area!.width).to.be.at.most(1.0011);
            expect(area!.y + area!.height).to.be.at.most(1.0011);
          }
        },
      ),
    );
  });

  it("takes the place of what was found, and leaves faces alone; or stands beside it when asked", () => {
    const from = { x: 0.1, y: 0.2 };
    const to = { x: 0.5, y: 0.4 };
    const [kept, thing] = drawn([face(0.7), found], to, from);
    expect(kept).to.deep.equal(face(0.7));
    expect(thing).to.deep.equal({
      kind: "thing",
      x: 0.1,
      y: 0.2,
      width: 0.4,
      height: 0.2,
      weight: 1,
      said: true,
    });
    expect(drawn([found], from, to, true)).to.have.lengthOf(2);
  });

  it("makes one face the main one, and takes it back", () => {
    const one = alone([face(0.1), face(0.5), found], 1);
    expect(one.map(({ weight }) => weight)).to.deep.equal([0, 1, 1]);
    expect(toggled(one, 0)[0]!.weight).to.equal(1);
  });

  it("is told in words", () => {
    expect(describeAreas([face(0.1), face(0.4)], false, true)).to.equal("2 faces are kept whole");
    expect(describeAreas([found], false, true)).to.equal("what it shows is kept whole");
    expect(describeAreas([{ ...found, weight: 0.4 }], false, true)).to.contain("a scene");
    expect(describeAreas([{ ...found, x: 0, y: 0, width: 1, height: 1 }], false, true)).to.contain(
      "page",
    );
    expect(describeAreas([], false, false)).to.contain("faces were not looked for");
  });
});
