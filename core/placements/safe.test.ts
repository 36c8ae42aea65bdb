import { expect } from "chai";
import { area, contains, overlaps } from "../geometry";
import {
  catalogue,
  frameOf,
  keptArea,
  legibilityFloor,
  placementById,
  roomOf,
  safeArea,
} from "./index";

describe("the placement catalogue", () => {
  it("has a safe area in every placement, clear of what is covered", () => {
    expect(catalogue.placements).to.have.lengthOf.at.least(43);
    for (const placement of catalogue.placements) {
      const safe = safeArea(placement);
      expect(area(safe), placement.id).to.be.greaterThan(0);
      expect(contains(frameOf(placement), safe), placement.id).to.equal(true);
      for (const covered of placement.covered) expect(overlaps(safe, covered)).to.equal(false);
    }
  });

  it("keeps a story's words between its bars", () => {
    expect(safeArea(placementById("story"))).to.deep.equal({
      x: 64,
      y: 250,
      width: 952,
      height: 1330,
    });
  });

  it("is no more than what every crop keeps that promises to keep all", () => {
    const { crops, ...banner } = placementById("video-channel-banner");
    const { x, y, width, height } = crops[0]!;
    expect(safeArea({ ...banner, crops })).to.deep.equal({ x, y, width, height });
    expect(safeArea({ ...banner, crops: [{ ...crops[0]!, keeps: ["headline"] }] }).width).to.equal(
      banner.width,
    );
  });

  it("says what a frame has room for, as it is seen", () => {
    const rooms = (ids: string[]) => ids.map((id) => roomOf(placementById(id)));
    expect(rooms(["story", "community-link", "pinboard-square"])).to.deep.equal([
      "all",
      "all",
      "all",
    ]);
    // A page cover is 390 x 148 as viewed on a phone; a channel banner is cropped to a strip of 235 x 64.
    expect(rooms(["community-page-cover", "video-channel-banner"])).to.deep.equal([
      "facts",
      "facts",
    ]);
    expect(rooms(["ad-leaderboard", "ad-phone-banner"])).to.deep.equal(["little", "little"]);
  });

  it("floors text at 11 CSS pixels, and at 10 on display ads", () => {
    // Common practice: 30 px on a 1080-wide slide is about 11 px on a phone 390 wide.
    expect(legibilityFloor(placementById("story"))).to.be.closeTo(30.46, 0.01);
    expect(legibilityFloor(placementById("ad-leaderboard"))).to.equal(10);
  });

  it("keeps a role inside the crops that promise to keep it, and inside a round one's square", () => {
    const tall = placementById("photo-feed-tall");
    expect(keptArea(tall, "headline")).to.deep.equal({ x: 100, y: 135, width: 880, height: 1080 });
    expect(keptArea(tall, "cta")).to.deep.equal(safeArea(tall));
    const round = keptArea(placementById("photo-feed-avatar"), "logo");
    expect(Math.hypot(round.width / 2, round.height / 2)).to.be.closeTo(200, 1e-6);
  });

  it("refuses a placement that it does not hold", () => {
    expect(() => placementById("moon")).to.throw("There is no placement “moon”");
  });
});
