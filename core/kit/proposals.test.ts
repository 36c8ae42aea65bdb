import { expect } from "chai";
import { strangeBrands, strangeSources } from "../../tests/support/strangers";
import { demoBrand, demoPiece, demoSources } from "../../tests/support/demo";
import { proposedLogos } from "./index";

describe("versions of a logo that are proposed", () => {
  it("are those that a kit with one logo lacks", async () => {
    const brands = strangeBrands();
    const piece = demoPiece("quillmere", "opening-announcement");
    const { pictures } = await strangeSources(brands.map((brand) => ({ piece, brand })));
    const said = (id: string) =>
      proposedLogos(
        brands.find((brand) => brand.id === id)!,
        pictures,
      ).map(({ logo, ink }) => `${logo.kind} ${logo.ground}${ink ? ` in ${ink}` : ""}`);
    // Two triangles that stand apart from the letters, and nothing for dark grounds.
    expect(said("tollgate")).to.deep.equal(["mark light", "full dark in #FFFFFF"]);
    expect(said("longword")).to.deep.equal(["full dark in #EEF4FF"]);
    // The logo has a red of its own for light grounds; on dark ones the paler of two pale colours is seen.
    expect(said("pale")).to.deep.equal(["full dark in #D5EFE3"]);
    expect(said("nologo")).to.deep.equal([]);
  });

  it("are none where the kit has all it needs", async () => {
    const { pictures } = await demoSources();
    expect(proposedLogos(demoBrand("quillmere"), pictures)).to.deep.equal([]);
  });
});
