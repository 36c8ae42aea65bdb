import { expect } from "chai";
import fc from "fast-check";
import { box, contains } from "../geometry";
import { cropBeyond, seenInFrame } from "./index";

const picture = { width: 600, height: 400 };
const side = fc.integer({ min: 40, max: 2000 });
const share = fc.double({ min: 0, max: 1, noNaN: true });

describe("a picture that goes on beyond its edges", () => {
  it("has its thing whole in the room that it is given, unstretched, whatever the frame", () => {
    fc.assert(
      fc.property(side, side, share, share, share, share, (w, h, x, y, u, v) => {
        const thing = box(x * 300, y * 200, 300, 200);
        const frame = box(10, 20, w, h);
        const room = box(10 + u * 0.5 * w, 20 + v * 0.5 * h, 0.5 * w, 0.5 * h);
        const subject = {
          box: thing,
          parts: [{ kind: "thing" as const, box: thing, weight: 1, certain: true }],
        };
        const crop = cropBeyond(picture, frame, subject, room);
        expect(crop.width / crop.height / (w / h)).to.be.closeTo(1, 1e-6);
        expect(contains(room, seenInFrame(crop, thing, frame))).to.equal(true);
      }),
    );
  });

  it("stays inside the picture where its thing is whole there too", () => {
    const thing = box(250, 150, 100, 100);
    const subject = {
      box: thing,
      parts: [{ kind: "thing" as const, box: thing, weight: 1, certain: true }],
    };
    const frame = box(0, 0, 500, 500);
    const crop = cropBeyond(picture, frame, subject, frame);
    expect(contains(box(0, 0, 600, 400), crop)).to.equal(true);
  });
});
