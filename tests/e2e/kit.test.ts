import { expect } from "chai";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import sharp from "sharp";
import type { CrateAnswer } from "../../core/api";
import type { Brand } from "../../core/brand";
import { findings } from "../support/axe";
import { demoFolder } from "../support/demo";
import { painted } from "../support/browser";
import { Stage } from "../support/stage";

describe("a kit that is there", () => {
  const stage = new Stage();

  it("gets another typeface, a one-colour logo and words to avoid, and is locked", async () => {
    const page = await stage.open("/brands/saltlight");
    await page.getByRole("button", { name: "Change the kit" }).click();
    const faces = page.getByRole("region", { name: "Typefaces" });
    await faces.getByRole("button", { name: "Choose another" }).first().click();
    await faces.getByRole("radiogroup", { name: "Headlines" }).getByText("Anton").click();
    await page.getByText("Headlines in Anton, was Big Shoulders Display").waitFor();
    const logos = page.getByRole("region", { name: "Logos" });
    await logos.getByRole("button", { name: "One colour, dark" }).first().click();
    await page.getByText("A one-colour full logo for light grounds added").waitFor();
    await page.getByLabel("Words to avoid, one on a line").fill("float\ndiscount");
    await page.getByLabel("Words to avoid, one on a line").blur();
    await page.getByText("Words to avoid changed").waitFor();
    expect(await findings(page)).to.deep.equal([]);
    await page.getByRole("button", { name: "Save the kit" }).click();
    await page.getByText("Headlines: Anton").waitFor();
    await page.getByRole("button", { name: "Lock the kit" }).click();
    await page.getByLabel("Key").fill("lanes");
    await page.getByRole("dialog").getByRole("button", { name: "Lock the kit" }).click();
    await page.getByRole("button", { name: "Change the kit" }).click();
    await page.getByLabel("Name", { exact: true }).fill("Saltlight Swimmers");
    await page.getByRole("button", { name: "Save the kit" }).click();
    await page.getByRole("alert").filter({ hasText: "is locked" }).waitFor();
    await page.getByLabel("Key of the kit").fill("lanes");
    await page.getByRole("button", { name: "Save the kit" }).click();
    await page.getByRole("heading", { name: "Saltlight Swimmers" }).waitFor();

    await page.goto(`${stage.program.url}/pieces/float-before-lunch/preflight`);
    await page.getByText("Headline says what the brand avoids").first().waitFor();
  });

  it("is sent as a sheet, as PDF and page by page", async () => {
    const page = await stage.open("/brands/quillmere/sheet");
    await page.getByRole("img", { name: "Voice and spreads" }).waitFor();
    await painted(page);
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("link", { name: "The sheet as PDF" }).click(),
    ]);
    expect(download.suggestedFilename()).to.contain("brand sheet.pdf");
    const bytes = readFileSync(await download.path()).toString("latin1");
    expect(bytes.slice(0, 5)).to.equal("%PDF-");
    expect(bytes.match(/\/Type\s*\/Page\b/g)).to.have.lengthOf(3);
  });

  it("has its spreads walked through, and the one that is liked pinned", async () => {
    const page = await stage.open("/pieces/opening-announcement/look");
    const cards = page.locator("button.spread");
    await cards.first().waitFor();
    expect(await cards.first().getAttribute("aria-pressed")).to.equal("true");
    await page.getByRole("button", { name: "Other colours" }).click();
    await page.waitForFunction(
      () => document.querySelectorAll("button.spread")[1]?.ariaPressed === "true",
    );
    const liked = await cards.nth(1).innerText();
    await page.getByRole("button", { name: "Pin it to the kit" }).click();
    await page.getByRole("button", { name: "Unpin it from the kit" }).waitFor();
    expect(await cards.first().innerText()).to.equal(liked);
    const { spreads } = await stage.program.ask<Brand>("/api/brands/quillmere");
    expect(spreads).to.have.lengthOf(1);
  });

  it("is given to a whole crate in one action, with what to look at", async () => {
    const page = await stage.open("/");
    const crate = page.getByRole("region", { name: "Boats at Rest" });
    await crate.getByRole("button", { name: "Change brand" }).click();
    await page.getByRole("dialog").getByRole("button", { name: "Change brand" }).click();
    await page.getByText("changed. Each can be undone by itself.").waitFor();
    const { brand, pieces } = await stage.program.ask<CrateAnswer>("/api/crates/boats-at-rest");
    expect(new Set([brand, ...pieces.map((piece) => piece.brand)])).to.have.lengthOf(1);
    expect(brand).to.equal("saltlight");
  });

  it("takes the flat ground off a logo that is added, gives it back, and keeps a version that was made", async () => {
    const page = await stage.open("/brands/quillmere");
    await page.getByRole("button", { name: "Change the kit" }).click();
    const logos = page.getByRole("region", { name: "Logos" });
    const known = logos.getByRole("button", { name: /^Take out the/ });
    await known.first().waitFor();
    while ((await known.count()) > 0) await known.first().click();
    const [name, mimeType] = ["stamp.png", "image/png"];
    await logos
      .getByLabel("Add a version of the logo")
      .setInputFiles({ name, mimeType, buffer: await stampOnWhite() });
    await page.getByText("A mark for light grounds added").waitFor();
    await logos.getByRole("button", { name: "Restore its background" }).click();
    await logos.getByRole("button", { name: "Remove its background" }).click();
    await logos.getByRole("button", { name: "Restore its background" }).waitFor();
    await logos.getByText("One-colour mark for dark grounds").waitFor();
    await logos.getByRole("button", { name: "Add to the kit" }).click();
    await page.getByText("A one-colour mark for dark grounds added").waitFor();
    expect(await logos.getByRole("button", { name: "Add to the kit" }).count()).to.equal(0);
    const photo = join(demoFolder, "quillmere/pictures/harbour-boats.jpg");
    await logos.getByLabel("Add a version of the logo").setInputFiles(photo);
    await known.nth(2).waitFor();
    expect(await logos.getByRole("button", { name: "Remove its background" }).count()).to.equal(0);
  });
});

/** A ring in dark ink on a white square, as most logos come. */
const stampOnWhite = (): Promise<Buffer> =>
  sharp(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="300" height="300"><rect width="300" height="300" fill="#fff"/><circle cx="150" cy="150" r="90" fill="none" stroke="#123A3F" stroke-width="40"/></svg>`,
    ),
  )
    .png()
    .toBuffer();
