import { join } from "node:path";
import { expect } from "chai";
import type { Page } from "playwright-core";
import { choose, saved, settled } from "../support/browser";
import { Stage } from "../support/stage";
import { demoFolder } from "../support/demo";

describe("the workbench", () => {
  const stage = new Stage();
  let page: Page;

  const open = async (piece: string, step?: string): Promise<void> => {
    page = await stage.openPiece(piece, step);
  };
  const tiles = async (): Promise<string[]> => {
    await settled(page);
    const shots: string[] = [];
    for (const tile of await page.locator(".wall canvas").all()) {
      shots.push((await tile.screenshot()).toString("base64"));
    }
    return shots;
  };

  it("shows a change of the headline in every size, keeps it, and takes it back after a reload", async () => {
    await open("opening-announcement");
    const before = await tiles();
    expect(before).to.have.lengthOf(4);
    await page.getByRole("textbox", { name: "Headline" }).fill("Harbour light");
    await saved(page);
    const after = await tiles();
    after.forEach((shot, index) => expect(shot === before[index], `size ${index}`).to.equal(false));

    await page.reload();
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
    expect(await tiles()).to.deep.equal(before);
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
    await page.getByRole("button", { name: "close" }).click();
    // The picture is stored first: until then all is as it was, and saved.
    const edited = page.waitForResponse((response) => response.url().endsWith("/edits"));
    await chooser.setInputFiles(join(demoFolder, "quillmere/pictures/dust-bowl-home.jpg"));
    await edited;
    await saved(page);
    const after = await tiles();
    after.forEach((shot, index) => expect(shot === before[index], `size ${index}`).to.equal(false));
  });

  it("gives a piece another spread and another brand", async () => {
    await open("float-before-lunch", "look");
    const cards = page.locator(".choices button");
    expect(await cards.count()).to.be.greaterThan(4);
    const name = await cards.nth(2).innerText();
    await cards.nth(2).click();
    await saved(page);
    const worn = page.locator('.choices button[aria-pressed="true"]');
    expect(await worn.allInnerTexts()).to.deep.equal([name]);
    await choose(page, "Brand", "Quillmere Museum of Everyday Pictures");
    await saved(page);
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
    await page.locator(".large .frame > canvas").waitFor();
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
    await page.getByRole("heading", { name: "5 sizes" }).waitFor();
    await page.getByRole("button", { name: "Undo" }).click();
    await page.getByRole("heading", { name: "4 sizes" }).waitFor();
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
    await page.getByRole("button", { name: "Use theirs" }).click();
    await saved(page);
    expect(await page.getByRole("textbox", { name: "Headline" }).inputValue()).to.equal("Theirs");
  });

  it("keeps what is typed while the server does not answer", async () => {
    await open("late-opening");
    await stage.context.setOffline(true);
    await page.getByRole("textbox", { name: "Headline" }).fill("Typed in a tunnel");
    await page.getByText("Not saved yet").waitFor();
    await stage.context.setOffline(false);
    await page.reload();
    await saved(page);
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
    await saved(page);
    expect(await page.getByRole("alert").count()).to.equal(0);
    expect(await headline.inputValue()).to.equal("Typed on a full disk");
  });
});
