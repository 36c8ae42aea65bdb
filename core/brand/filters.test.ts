import { expect } from "chai";
import { demoBrand } from "../../tests/support/demo";
import { contrast, luminance } from "../colour";
import { AdjustStyle } from "../piece";
import { filtersOf } from "./index";

describe("filters", () => {
  it("are what a document can hold, and their duotones a dark and a light of the brand's own", () => {
    for (const brand of [demoBrand("quillmere"), demoBrand("saltlight")]) {
      const filters = filtersOf(brand);
      expect(new Set(filters.map(({ name }) => name)).size).to.equal(filters.length);
      expect(filters[0]).to.deep.equal({ name: "As the brand has it" });
      let duotones = 0;
      for (const { adjust, name } of filters) {
        if (adjust) expect(AdjustStyle.parse(adjust), name).to.deep.equal(adjust);
        if (!adjust?.duotone || adjust.duotone === "none") continue;
        const [dark, light] = [adjust.duotone.dark, adjust.duotone.light].map(
          (id) => brand.colours.find((colour) => colour.id === id)!.hex,
        );
        expect(luminance(dark!)).to.be.below(luminance(light!));
        expect(contrast(dark!, light!), name).to.be.at.least(4);
        duotones++;
      }
      expect(duotones).to.be.within(1, 4);
    }
  });

  it("offer a photograph plainly only where the brand does something to it", () => {
    const names = (id: string) => filtersOf(demoBrand(id)).map(({ name }) => name);
    expect(names("quillmere")).to.include("As photographed");
    const plain = { ...demoBrand("quillmere") };
    plain.defaults = { ...plain.defaults, treatment: { kind: "none" } };
    expect(filtersOf(plain).map(({ name }) => name)).to.not.include("As photographed");
  });
});
