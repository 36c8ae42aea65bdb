import { expect } from "chai";
import { leadWidth } from "./lead-width";

/** The centre of the workbench between message and ledger at 1280 × 800, in CSS pixels. */
const ROOM = { width: 700, height: 752 };

describe("the lead while it is written", () => {
  it("is at least 480 px high on a common screen, or as wide as there is room", () => {
    for (const [width, height] of [
      [1080, 1350],
      [1080, 1080],
      [1080, 1920],
    ] as const)
      expect((leadWidth({ width, height }, ROOM) * height) / width).to.be.at.least(480);
    expect(leadWidth({ width: 1600, height: 900 }, ROOM)).to.equal(656);
  });

  it("leaves room for the others beside it unless it is wide, and is never larger than it is", () => {
    expect(leadWidth({ width: 1080, height: 1080 }, ROOM)).to.be.at.most(700 - 44 - 160);
    expect(leadWidth({ width: 1080, height: 1350 }, { width: 390, height: 680 })).to.equal(346);
    expect(leadWidth({ width: 300, height: 250 }, { width: 1400, height: 1300 })).to.equal(300);
    expect(leadWidth({ width: 1080, height: 1080 }, { width: 0, height: 0 })).to.be.greaterThan(0);
  });
});
