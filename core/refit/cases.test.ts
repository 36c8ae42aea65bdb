import { layoutKey } from "../piece";
import { expect } from "chai";
import { cases } from "../../tests/support/arrangements";
import { caseSources } from "../../tests/support/case-sources";
import { makeScene } from "../engine";
import { catalogue, placementById } from "../placements";
import { check } from "../preflight";
import type { Sources } from "../resolve";

describe("refit of forty pieces to every placement", () => {
  let sources: Sources;
  before(async () => (sources = await caseSources()));

  for (const { piece, brand } of cases()) {
    it(`keeps every rule for ${piece.id}`, () => {
      for (const { id } of catalogue.placements) {
        // The lead is as a person composed it; what breaks a rule there is told, not changed.
        if (id === piece.lead) continue;
        const { layout } = makeScene(piece, brand, placementById(id), sources);
        const found = check(layout);
        const nearly = found.filter(({ code }) => code === "nearly-aligned");
        if (layout.layoutId.kind !== "as-arranged")
          expect(nearly, `${id} ${layoutKey(layout.layoutId)}`).to.deep.equal([]);
        const broken = found.filter(({ level }) => level === "must-fix");
        expect(broken, `${id} ${layoutKey(layout.layoutId)}`).to.deep.equal([]);
      }
    });
  }
});
