import { readFile } from "node:fs/promises";
import { join } from "node:path";
import { AxeBuilder } from "@axe-core/playwright";
import { expect } from "chai";
import { unzipSync } from "fflate";
import type { Page } from "playwright-core";
import sharp from "sharp";
import { settled } from "../support/browser";
import { Stage } from "../support/stage";
import { demoFolder } from "../support/demo";

describe("the workbench", () => {
  const stage = new Stage();
  let page: Page;

  const open = async (piece: string, step = "sizes"): Promise<void> => {
    page = await stage.open(`/pieces/${piece}/${step}`);
    await page.getByRole("textbox", { name: "Headline" }).waitFor();
    await settled(page);
  };
  const saved = () =>
    page
      .getByRole("status")
      .filter({ hasText: /^Saved$/ })
      .waitFor();
  const tiles = async (): Promise<string[]> => {
    const shots: string[] = [];
    for (const tile of await page.locator(".wall canvas").all()) {
      shots.push((await tile.screenshot()).toString("base64"));
    }
    return shots;
  };

  it("shows a change of the headline in every size, keeps it, and takes it back after a reload", async () => {
    await open("opening-announcement");
    const before = await tiles();
    expect(before).to.have.lengthOf(14);
    await page.getByRole("textbox", { name: "Headline" }).fill("Harbour light");
    await saved();
    await settled(page);
    const after = await tiles();
    after.forEach((shot, index) => expect(shot === before[index], `size ${index}`).to.equal(false));

    await page.reload();
    await settled(page);
    expect(await page.getByRole("textbox", { name: "Headline" }).inputValue()).to.equal(
      "Harbour light",
    );
    await page.locator("body").press("Control+z");
    await page.waitForFunction(
      () =>
        document.querySelector<HTMLTextAreaElement>(".headline textarea")?.value ===
        "Boats at rest",
    );
    await page.locator("body").press("Control+Shift+z");
    await page.waitForFunction(
      () =>
        document.querySelector<HTMLTextAreaElement>(".headline textarea")?.value ===
        "Harbour light",
    );
    await page.locator("body").press("Control+z");
    await settled(page);
    expect(await tiles()).to.deep.equal(before);
  });

  it("makes a batch of 6 rows × 3 sizes and delivers its 18 files", async () => {
    await open("opening-announcement", "batch");
    const rows = ["Boats", "Light", "Still water", "The quiet fleet", "Low tide", "Tied up"];
    await page
      .getByLabel("Paste a table")
      .fill(`headline\tdate\n${rows.map((row) => `${row}\tMay`).join("\n")}`);
    await page.getByRole("button", { name: "Use this table" }).click();
    await page.getByText("6 variations × 3 sizes = 18 files").waitFor();
    await page.getByRole("button", { name: "Make them" }).click();
    await page.getByText("18 of 18 files").waitFor({ timeout: 60_000 });
    expect(await page.locator(".sheet figure img").count()).to.equal(6);

    await page.getByRole("link", { name: "Deliver" }).click();
    await page.getByRole("button", { name: "Choose none" }).click();
    await page.getByLabel(/6 variations, 18 files/).check();
    await page.getByRole("button", { name: "Make a zip of 18 files" }).click();
    const link = page.getByRole("link", { name: "Download" }).first();
    await link.waitFor({ timeout: 60_000 });
    const [download] = await Promise.all([page.waitForEvent("download"), link.click()]);
    const entries = unzipSync(new Uint8Array(await readFile(await download.path())));
    const names = Object.keys(entries).filter((name) => name !== "manifest.json");
    expect(names).to.have.lengthOf(18);
    for (const name of names) {
      const { width, height, format } = await sharp(entries[name]!).metadata();
      expect(name).to.match(new RegExp(`_v[1-6]_${width}x${height}\\.png$`));
      expect(format).to.equal("png");
    }
  });

  it("says what is wrong with a table, uses the rest, and cancels what takes too long", async () => {
    await open("float-before-lunch", "batch");
    await page.getByLabel("Paste a table").fill("colour\nred");
    await page.getByRole("button", { name: "Use this table" }).click();
    await page.getByRole("alert").filter({ hasText: "None of the columns" }).waitFor();
    await page.getByRole("button", { name: "Another table" }).click();
    const rows = Array.from({ length: 90 }, (_, index) => `Float ${index},x`).join("\n");
    await page.getByLabel("Open a table").setInputFiles({
      name: "rows.csv",
      mimeType: "text/csv",
      buffer: Buffer.from(`headline,colour\n${rows}\nonly one`),
    });
    await page.getByText("Column “colour” names no slot").waitFor();
    await page.getByText("Row 91 has 1 cells").waitFor();
    await page.getByLabel("Every mix").check();
    await page.getByText("91 variations × 3 sizes = 273 files").waitFor();
    await page.getByRole("button", { name: "Make them" }).click();
    await page.getByRole("progressbar").waitFor();
    await page.getByRole("button", { name: "Cancel" }).click();
    await page.getByText("91 variations, cancelled").waitFor();
    await page.reload();
    await page.getByText("91 variations, cancelled").waitFor();
  });

  it("replaces a picture, and keeps the old one when the new one is none", async () => {
    await open("late-opening");
    const before = await tiles();
    const chooser = page.getByLabel("Replace the picture");
    await chooser.setInputFiles({
      name: "notes.jpg",
      mimeType: "image/jpeg",
      buffer: Buffer.from("words"),
    });
    await page.getByText("notes.jpg is not a picture that can be read").waitFor();
    await page.getByRole("button", { name: "Close this message" }).click();
    await chooser.setInputFiles(join(demoFolder, "quillmere/pictures/dust-bowl-home.jpg"));
    await saved();
    await settled(page);
    const after = await tiles();
    expect(after.filter((shot, index) => shot !== before[index])).to.have.lengthOf.at.least(13);
  });

  it("dresses a piece in another spread and another brand", async () => {
    await open("float-before-lunch", "look");
    const cards = page.locator(".choices button");
    expect(await cards.count()).to.be.greaterThan(4);
    const name = await cards.nth(2).innerText();
    await cards.nth(2).click();
    await saved();
    const worn = page.locator('.choices button[aria-pressed="true"]');
    expect(await worn.allInnerTexts()).to.deep.equal([name]);
    await page.getByLabel("Brand").selectOption("quillmere");
    await saved();
    await page.getByRole("link", { name: "Quillmere Museum of Everyday Pictures" }).waitFor();
    await page.getByRole("button", { name: "Undo" }).click();
    await page.getByRole("link", { name: "Saltlight Swim Club" }).waitFor();
  });

  it("is worked by keys: steps, sizes, covered areas, large and back", async () => {
    await open("family-workshop");
    await page.keyboard.press(".");
    expect(await page.locator(".graphic.selected").getAttribute("aria-label")).not.to.contain(
      "Photo feed, square",
    );
    await page.keyboard.press("g");
    expect(await page.locator(".covered").count()).to.be.greaterThan(0);
    await page.keyboard.press("Enter");
    await page.locator(".large canvas").waitFor();
    await page.keyboard.press("Escape");
    await page.locator(".wall").waitFor();
    await page.keyboard.press("5");
    await page.getByRole("heading", { name: "Preflight" }).waitFor();
    await page.keyboard.press("?");
    await page.getByRole("dialog", { name: "Keys" }).waitFor();
  });

  it("adds and takes out sizes by name", async () => {
    await open("family-workshop");
    await page.getByRole("button", { name: "Choose sizes" }).click();
    await page.getByLabel("Find a size").fill("poster");
    await page.getByLabel(/Poster A3/).check();
    await page.getByRole("button", { name: "Done" }).click();
    await page.getByRole("heading", { name: "15 sizes" }).waitFor();
    await page.getByRole("button", { name: "Undo" }).click();
    await page.getByRole("heading", { name: "14 sizes" }).waitFor();
  });

  it("tells of a change in another window, and of one to the same words", async () => {
    await open("family-workshop");
    const other = await stage.open(`/pieces/family-workshop/sizes`);
    const theirs = other.getByRole("textbox", { name: "Support" });
    await theirs.waitFor();
    await theirs.fill("Bring a pencil");
    await page.getByText("changed in another window; it is up to date here").waitFor();
    expect(await page.getByRole("textbox", { name: "Support" }).inputValue()).to.equal(
      "Bring a pencil",
    );
    // Both type at once: the second to be saved is asked which one stays.
    await page.route("**/edits", async (route) => {
      await new Promise((resolve) => setTimeout(resolve, 900));
      await route.continue();
    });
    await page.getByRole("textbox", { name: "Headline" }).fill("Mine");
    await other.getByRole("textbox", { name: "Headline" }).fill("Theirs");
    const alert = page
      .getByRole("alert")
      .filter({ hasText: "changed in another window to “Theirs”" });
    await alert.waitFor();
    await page.getByRole("button", { name: "Take the other" }).click();
    await saved();
    expect(await page.getByRole("textbox", { name: "Headline" }).inputValue()).to.equal("Theirs");
  });

  it("keeps what is typed while the server does not answer", async () => {
    await open("late-opening");
    await stage.context.setOffline(true);
    await page.getByRole("textbox", { name: "Headline" }).fill("Typed in a tunnel");
    await page.getByText("Not saved yet").waitFor();
    await stage.context.setOffline(false);
    await page.reload();
    await saved();
    expect(await page.getByRole("textbox", { name: "Headline" }).inputValue()).to.equal(
      "Typed in a tunnel",
    );
    const { piece } = await stage.program.ask<{
      piece: { message: { headline: { text: string } } };
    }>("/api/pieces/late-opening");
    expect(piece.message.headline.text).to.equal("Typed in a tunnel");
  });

  it("shows what cannot be saved and why, keeps it, and saves it when there is room again", async () => {
    await open("late-opening");
    const full = "The disk is full, so this could not be saved.";
    const edits = "**/api/pieces/*/edits";
    await page.route(edits, (route) =>
      route.fulfill({ status: 507, json: { code: "store-full", message: full } }),
    );
    const headline = page.getByRole("textbox", { name: "Headline" });
    await headline.fill("Typed on a full disk");
    await page.getByRole("alert").filter({ hasText: full }).waitFor();
    expect(await headline.inputValue()).to.equal("Typed on a full disk");
    await page.unroute(edits);
    await page.getByRole("button", { name: "Try now" }).click();
    await saved();
    expect(await page.getByRole("alert").count()).to.equal(0);
    expect(await headline.inputValue()).to.equal("Typed on a full disk");
  });

  for (const step of ["message", "look", "sizes", "batch", "preflight", "deliver"]) {
    it(`has no accessibility finding in ${step}`, async () => {
      await open("opening-announcement", step);
      const { violations } = await new AxeBuilder({ page }).analyze();
      expect(
        violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(", ")}`),
      ).to.deep.equal([]);
    });
  }

  it("has no accessibility finding on the crates and the brand, in light and dark", async () => {
    for (const colorScheme of ["light", "dark"] as const) {
      for (const path of ["/", "/brands/quillmere"]) {
        page = await stage.open(`${path}`);
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

  it("exports a crate and imports it as a new one; a file that is no crate is refused", async () => {
    page = await stage.open("/");
    const shelf = page.getByRole("region", { name: "Autumn lessons" });
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      shelf.getByRole("link", { name: "Export" }).click(),
    ]);
    await page.getByLabel("Import a crate").setInputFiles(await download.path());
    await page.getByText("Imported 1 crate, 1 piece").waitFor();
    expect(await page.getByRole("heading", { name: "Autumn lessons" }).count()).to.equal(2);
    const wrong = { name: "a.zip", mimeType: "application/zip", buffer: Buffer.from("no") };
    await page.getByLabel("Import a crate").setInputFiles(wrong);
    await page.getByText("a.zip cannot be opened as a zip").waitFor();
  });

  it("starts a crate for a brand, and in it a piece from a template", async () => {
    page = await stage.open("/");
    await page.getByRole("button", { name: "New crate" }).click();
    await page.getByLabel("What is the campaign called?").fill("Winter term");
    await page.getByLabel("For which brand?").selectOption("saltlight");
    await page.getByRole("button", { name: "Start it" }).click();
    const shelf = page.getByRole("region", { name: "Winter term" });
    await shelf.getByText("Saltlight Swim Club").waitFor();
    await shelf.getByRole("link", { name: "New piece" }).click();
    await page.getByRole("button", { name: "Begin with Big words" }).click();
    await page.waitForURL(/\/message$/);
    await page.getByRole("link", { name: "Winter term" }).waitFor();
  });

  it("finds pieces by typing, and starts a new one from another", async () => {
    page = await stage.open("/");
    await page.getByRole("heading", { name: "Boats at Rest" }).waitFor();
    await page.keyboard.press("/");
    await page.keyboard.type("workshop");
    expect(await page.locator("article").count()).to.equal(1);
    await page.getByRole("button", { name: "Start a new piece from Family workshop" }).click();
    await page.waitForURL(/\/message$/);
    expect(await page.getByLabel("Name of the piece").inputValue()).to.equal("Family workshop 2");
  });
});
