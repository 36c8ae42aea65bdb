import { join } from "node:path";
import { readFile } from "node:fs/promises";
import { expect } from "chai";
import type { Page } from "playwright-core";
import sharp from "sharp";
import { findings } from "../support/axe";
import { choose, eventually, settled } from "../support/browser";
import { fontFolder } from "../support/demo";
import { Stage } from "../support/stage";

describe("type and paint in the interface", () => {
  const stage = new Stage({ height: 1000 });
  let page: Page;

  const shot = async () => (await page.locator("canvas").first().screenshot()).toString("base64");

  it("leads from the brand kit to the specimen, shows each page, and gives it as a file", async () => {
    page = await stage.open("/brands/quillmere");
    await page.getByRole("link", { name: "Specimen" }).click();
    const seen = new Set<string>();
    for (const name of [
      "Typefaces on the shelf",
      "Scripts",
      "Setting",
      "Effects",
      "Pictures",
      "Colours",
    ]) {
      await page.getByRole("button", { name }).click();
      await page.getByRole("img", { name }).waitFor();
      await settled(page);
      seen.add(await shot());
    }
    expect(seen.size).to.equal(6);
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("link", { name: "PNG" }).click(),
    ]);
    expect(download.suggestedFilename()).to.equal("quillmere_specimen-colours.png");
    const { width, format } = await sharp(await readFile(await download.path())).metadata();
    expect({ width, format }).to.deep.equal({ width: 1400, format: "png" });
    expect(await findings(page)).to.deep.equal([]);
  });

  it("tries a font of one's own, says what it can do, and refuses what is none", async () => {
    page = await stage.open("/brands/quillmere/specimen");
    await page.getByRole("button", { name: "Setting" }).click();
    await page.getByRole("img", { name: "Setting" }).waitFor();
    await settled(page);
    const before = await shot();
    await page
      .getByLabel("Try a font file")
      .setInputFiles(join(fontFolder, "pacifico/Pacifico-Regular.ttf"));
    await page.getByText("latin, latin-ext, cyrillic, vietnamese").waitFor();
    await settled(page);
    expect(await shot()).to.not.equal(before);
    await page.getByLabel("Try a font file").setInputFiles({
      name: "notes.ttf",
      mimeType: "font/ttf",
      buffer: Buffer.from("these are notes"),
    });
    await page
      .getByRole("alert")
      .filter({ hasText: "notes.ttf cannot be used as a font" })
      .waitFor();
    await page.getByRole("button", { name: "Back to the brand's own" }).click();
    await settled(page);
    expect(await shot()).to.equal(before);
  });

  it("makes words strong with Ctrl+B and with the word above them, and takes it back", async () => {
    page = await stage.open("/pieces/opening-announcement/message");
    const support = page.getByRole("textbox", { name: "Support" });
    const reads = (text: string) =>
      eventually(async () => expect(await support.inputValue()).to.equal(text));
    await support.waitFor();
    await settled(page);
    const before = await shot();
    await support.evaluate((area: HTMLTextAreaElement) => {
      area.focus();
      area.setSelectionRange(0, 7);
    });
    await page.keyboard.press("Control+b");
    await reads("*Harbour* photographs from 1868 to 1931");
    await settled(page);
    expect(await shot()).to.not.equal(before);
    await page.getByRole("button", { name: "strong" }).click();
    await reads("Harbour photographs from 1868 to 1931");
    await page.getByRole("button", { name: "marker" }).click();
    await reads("=Harbour= photographs from 1868 to 1931");
  });

  it("delivers SVG", async () => {
    page = await stage.open("/pieces/float-before-lunch/deliver");
    await choose(page, "Files", "SVG, words as outlines");
    await page.getByRole("button", { name: /Make a zip/ }).click();
    const link = page.getByRole("link", { name: "Download" }).first();
    await link.waitFor({ timeout: 60_000 });
    const [download] = await Promise.all([page.waitForEvent("download"), link.click()]);
    const bytes = await readFile(await download.path());
    expect(bytes.includes("1080x1350.svg")).to.equal(true);
  });
});
