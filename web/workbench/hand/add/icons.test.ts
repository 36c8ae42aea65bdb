import { expect } from "chai";
import { iconPath } from "../../../../core/shape";
import { allIcons, iconsFound, type Icon } from "./icons";

const icon = (name: string, ...tags: string[]): Icon => ({ name, tags, drawing: [] });
const names = (icons: readonly Icon[]): string[] => icons.map(({ name }) => name);

describe("icons", () => {
  it("are found by name before other words, and by all words that are typed", () => {
    const set = [
      icon("sailboat", "ship", "sea"),
      icon("ship", "boat"),
      icon("ship-wheel", "sea"),
      icon("cat", "pet"),
    ];
    expect(names(iconsFound(set, "ship"))).to.deep.equal(["ship", "ship-wheel", "sailboat"]);
    expect(names(iconsFound(set, "Ship sea"))).to.deep.equal(["ship-wheel", "sailboat"]);
    expect(names(iconsFound(set, "boat"))).to.deep.equal(["ship", "sailboat"]);
    expect(iconsFound(set, "  ")).to.have.lengthOf(4);
    expect(iconsFound(set, "nothing such")).to.deep.equal([]);
  });

  it("are a set of more than a thousand, each of which can be drawn", async () => {
    const all = await allIcons();
    expect(all.length).to.be.above(1000);
    for (const { drawing } of all) expect(iconPath(drawing)).to.match(/^M/);
    expect(names(iconsFound(all, "calendar"))[0]).to.equal("calendar");
  });
});
