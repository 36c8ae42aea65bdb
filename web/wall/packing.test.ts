import { expect } from "chai";
import fc from "fast-check";
import { catalogue, type Placement } from "../../core/placements";
import { byChannel, GAP, isCalled, LEAST_TILE, packed, wallWidths } from "./packing";

const { placements } = catalogue;
const some = fc.subarray(placements, { minLength: 1 });
const byId = new Map(placements.map((placement) => [placement.id, placement]));

describe("the wall", () => {
  it("shows all of one use at one scale, as far as they are seen alike", () => {
    fc.assert(
      fc.property(some, (chosen) => {
        const scales = new Map<string, number[]>();
        for (const [id, width] of wallWidths(chosen)) {
          const { use, width: whole, viewWidth } = byId.get(id)!;
          const kind = use === "ad" ? `ad ${viewWidth < whole}` : use;
          scales.set(kind, [...(scales.get(kind) ?? []), width / whole]);
        }
        for (const [kind, all] of scales) {
          // Widths are whole pixels.
          expect(Math.max(...all) - Math.min(...all), kind).to.be.below(0.02);
          expect(Math.max(...all)).to.be.at.most(1.01);
        }
      }),
    );
  });

  it("groups by channel, that of the lead first, and loses none", () => {
    fc.assert(
      fc.property(some, fc.nat(), (chosen, pick) => {
        const lead = chosen[pick % chosen.length]!;
        const groups = byChannel(chosen, lead.id);
        expect(groups[0]!.placements[0]).to.equal(lead);
        const shown = groups.flatMap((group) => group.placements);
        expect(shown).to.have.members(chosen);
      }),
    );
  });

  it("fills a row with whichever groups still fit", () => {
    const tile = (id: string, channel: string) => ({ ...placements[0]!, id, channel }) as Placement;
    const groups = byChannel([tile("a", "wide"), tile("b", "wider"), tile("c", "narrow")]);
    const widths = new Map([
      ["a", 400],
      ["b", 500],
      ["c", LEAST_TILE],
    ]);
    const room = 400 + GAP.group + LEAST_TILE;
    const names = packed(groups, widths, room).map(({ channel }) => channel);
    expect(names).to.deep.equal(["wide", "narrow", "wider"]);
  });

  it("finds a size by its name, its channel or its sides", () => {
    const story = byId.get("story")!;
    for (const wanted of ["stor", "1080x1920", "1080 × 1920"])
      expect(isCalled(story, wanted), wanted).to.equal(true);
    expect(isCalled(story, "banner")).to.equal(false);
  });
});
