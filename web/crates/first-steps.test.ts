import { expect } from "chai";
import type { ListedCrate, ListedPiece } from "../../core/api";
import { demoBrand } from "../../tests/support/demo";
import { firstStep } from "./first-steps";

describe("the first steps", () => {
  const demo = demoBrand("quillmere");
  const own = { ...demo, id: "own", name: "Own" };
  const second = { ...demo, id: "second", name: "Second" };
  const demoBrands = new Set(["quillmere"]);
  const piece = {} as ListedPiece;
  const crate = (brand: string, at: Partial<ListedCrate> = {}): ListedCrate =>
    ({ brand, pieces: [], archived: [], ...at }) as unknown as ListedCrate;

  it("ask whose brand it is, whatever was made with the demo", () => {
    const crates = [crate("quillmere", { pieces: [piece] })];
    expect(firstStep({ brands: [demo], demoBrands, crates })).to.deep.equal({ do: "kit" });
    expect(firstStep({ brands: [], demoBrands, crates: [] })).to.deep.equal({ do: "kit" });
  });

  it("go on with a first piece in the kit that was made last, and are over with it", () => {
    const brands = [demo, own, second];
    const empty = firstStep({ brands, demoBrands, crates: [crate("own")] });
    expect(empty).to.deep.equal({ do: "piece", brand: second });
    for (const used of [{ pieces: [piece] }, { archived: [piece] }])
      expect(firstStep({ brands, demoBrands, crates: [crate("own", used)] })).to.equal(undefined);
  });
});
