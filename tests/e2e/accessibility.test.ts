import { AxeBuilder } from "@axe-core/playwright";
import { expect } from "chai";
import { settled } from "../support/browser";
import { Stage } from "../support/stage";

describe("accessibility", () => {
  const stage = new Stage();

  for (const step of ["message", "look", "sizes", "batch", "preflight", "deliver"]) {
    it(`has no accessibility finding in ${step}`, async () => {
      const page = await stage.openPiece("opening-announcement", step);
      const { violations } = await new AxeBuilder({ page }).analyze();
      expect(
        violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(", ")}`),
      ).to.deep.equal([]);
    });
  }

  it("has no accessibility finding on the crates and the brand, in light and dark", async () => {
    for (const colorScheme of ["light", "dark"] as const) {
      for (const path of ["/", "/brands/quillmere"]) {
        const page = await stage.open(path);
        await page.emulateMedia({ colorScheme });
        await settled(page);
        const { violations } = await new AxeBuilder({ page }).analyze();
        expect(
          violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(", ")}`),
          `${path} ${colorScheme}`,
        ).to.deep.equal([]);
        await page.close();
      }
    }
  });
});
