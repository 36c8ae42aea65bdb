import { expect } from "chai";
import type { Page } from "playwright-core";
import { painted } from "../support/browser";
import { Stage } from "../support/stage";

/** What has the focus: its name, and whether it can be seen where it is. */
const focused = (page: Page): Promise<{ name: string; seen: boolean }> =>
  page.evaluate(() => {
    const element = document.activeElement ?? document.body;
    const { x, y, width, height } = element.getBoundingClientRect();
    const seen =
      element === document.body ||
      (width > 0 &&
        height > 0 &&
        x + width > 0 &&
        y + height > 0 &&
        x < innerWidth &&
        y < innerHeight);
    return { name: element.getAttribute("aria-label") ?? element.textContent.trim(), seen };
  });

/** Presses Tab until something of that name has the focus; all on the way there can be seen. */
async function tabTo(page: Page, name: RegExp, most = 90): Promise<void> {
  const way: string[] = [];
  for (let i = 0; i < most; i++) {
    const now = await focused(page);
    if (name.test(now.name)) return;
    expect(now.seen, `${now.name.slice(0, 60)} can be seen`).to.equal(true);
    way.push(now.name.slice(0, 24));
    await page.keyboard.press("Tab");
  }
  expect.fail(`${String(name)} is not reached: ${way.join(" → ")}`);
}

describe("by keyboard alone", () => {
  const stage = new Stage();

  it("a piece is begun, looked over in its sizes, and delivered", async () => {
    const page = await stage.open("/");
    await page.getByRole("heading", { name: "Boats at Rest" }).waitFor();
    await page.keyboard.press("/");
    await page.getByRole("dialog", { name: "Find" }).waitFor();
    await page.keyboard.type("new piece boats");
    await page.getByRole("option", { name: /New piece.*Boats at Rest/ }).waitFor();
    await page.keyboard.press("Enter");
    await page.waitForURL(/\/crates\/boats-at-rest\/new$/);
    // The page is opened to be written in.
    await page.waitForFunction(() => document.activeElement?.id === "typed");
    await page.keyboard.type("Tea on the quay\nSunday at four\nCome along");
    await page.getByRole("heading", { name: "Best matches" }).waitFor();
    await tabTo(page, /^Begin with /);
    await page.keyboard.press("Enter");
    await page.waitForURL(/\/message$/);
    await painted(page);
    await page.keyboard.press("3");
    await page.waitForURL(/\/sizes$/);
    await page.keyboard.press(".");
    await page.keyboard.press("Enter");
    await page.getByRole("button", { name: "Back to the wall" }).waitFor();
    await page.keyboard.press("Escape");
    await page.keyboard.press("6");
    await page.waitForURL(/\/deliver$/);
    await tabTo(page, /^Make a zip/);
    await page.keyboard.press("Enter");
    await page.getByRole("link", { name: "Download" }).first().waitFor();
    await tabTo(page, /^Download/);
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.keyboard.press("Enter"),
    ]);
    expect(download.suggestedFilename()).to.match(/\.zip$/);
  });
});
