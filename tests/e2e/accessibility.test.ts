import { expect } from "chai";
import { findings } from "../support/axe";
import { painted } from "../support/browser";
import { Stage } from "../support/stage";

describe("accessibility", () => {
  const stage = new Stage();

  it("has no finding in any step of the workbench", async () => {
    const page = await stage.openPiece("opening-announcement", "message");
    for (const step of ["Message", "Look", "Sizes", "Batch", "Preflight", "Deliver"]) {
      await page.getByRole("link", { name: new RegExp(`^${step}`) }).click();
      await page.locator("nav [aria-current=step]", { hasText: step }).waitFor();
      await painted(page);
      expect(await findings(page), step).to.deep.equal([]);
    }
  });

  it("has no finding in the places and in a kit, in light and dark", async () => {
    const page = await stage.open("/");
    for (const [path, ...schemes] of [
      ["/", "light", "dark"],
      ["/brands/quillmere", "light", "dark"],
      ["/brands", "dark"],
      ["/pictures", "light"],
    ] as const) {
      await page.goto(`${stage.program.url}${path}`);
      await page.locator("main").first().waitFor();
      for (const colorScheme of schemes) {
        await page.emulateMedia({ colorScheme });
        await painted(page);
        expect(await findings(page), `${path} ${colorScheme}`).to.deep.equal([]);
      }
    }
  });
});
