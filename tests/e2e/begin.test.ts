import { expect } from "chai";
import { readFile } from "node:fs/promises";
import { unzipSync } from "fflate";
import type { Page } from "playwright-core";
import { findings } from "../support/axe";
import { choose, painted } from "../support/browser";
import { Stage } from "../support/stage";

const MESSAGE = `EXHIBITION
A winter of small boats
Models made by keepers of lighthouses
Saturday 5 December, 10:00
€ 6
Come and look`;

describe("a piece from nothing", () => {
  const stage = new Stage();
  let page: Page;
  const tiles = () => page.getByRole("button", { name: /^Begin with / });

  it("goes from an empty crate to five exported sizes of an event post in a few clicks", async () => {
    page = await stage.open("/");
    let clicks = 0;
    const click = async (role: "button" | "link", name: string | RegExp): Promise<void> => {
      await page.getByRole(role, { name }).first().click();
      clicks++;
    };
    await click("button", "New crate");
    await page.getByLabel("What is the campaign called?").fill("Small boats");
    await click("button", "Create crate");
    await page
      .getByRole("region", { name: "Small boats" })
      .getByRole("link", { name: "New piece" })
      .click();
    clicks++;
    await page.getByLabel("What should it say?").fill(MESSAGE);
    await page.getByRole("heading", { name: "Best matches" }).waitFor();
    await click("button", /^Begin with Ticket/);
    await page.waitForURL(/\/message$/);
    await painted(page);
    await click("link", /^Deliver/);
    await click("button", /^Make a zip/);
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("link", { name: "Download" }).first().click(),
    ]);
    clicks++;
    const zip = unzipSync(await readFile((await download.path())!));
    const pictures = Object.keys(zip).filter((name) => name.endsWith(".png"));
    expect(pictures.length).to.be.at.least(5);
    const manifest = JSON.parse(new TextDecoder().decode(zip["manifest.json"]));
    expect(manifest.piece).to.equal("A winter of small boats");
    // The README says so.
    expect(clicks).to.equal(7);
  });

  it("sorts what is typed, lets it be corrected, and orders the templates by it", async () => {
    page = await stage.open("/templates");
    await tiles().first().waitFor();
    await page.getByLabel("What should it say?").fill(MESSAGE);
    const slot = (text: string) => page.getByRole("combobox", { name: `What “${text}” is` });
    expect(await slot("€ 6").innerText()).to.equal("Price");
    expect(await slot("Saturday 5 December, 10:00").innerText()).to.equal("Date");
    await page.getByRole("heading", { name: "Best matches" }).waitFor();
    const first = await tiles().first().getAttribute("aria-label");
    await choose(page, "What “€ 6” is", "Figure");
    await page.waitForFunction(
      (before) =>
        document.querySelector('[aria-label^="Begin with "]')?.getAttribute("aria-label") !==
        before,
      first,
    );
    // What was corrected holds while one goes on typing.
    await page.getByLabel("What should it say?").fill(`${MESSAGE}\nWarm tea in the tower`);
    await slot("Warm tea in the tower").waitFor();
    expect(await slot("€ 6").innerText()).to.equal("Figure");
  });

  it("finds templates by purpose, look, pictures and words; favourites come first", async () => {
    page = await stage.open("/templates");
    await tiles().first().waitFor();
    const all = await tiles().count();
    expect(all).to.be.at.least(36);
    await choose(page, "Purpose", "hiring");
    expect(await tiles().count()).to.equal(1);
    await choose(page, "Purpose", "Every purpose");
    await choose(page, "Number of pictures", "4 pictures");
    expect(await tiles().count()).to.equal(1);
    await choose(page, "Number of pictures", "Any pictures");
    await choose(page, "Format", "story");
    await choose(page, "Occasion", "sale");
    expect(await tiles().first().getAttribute("aria-label")).to.equal("Begin with Days left");
    expect(await tiles().count()).to.equal(1);
    await choose(page, "Format", "Every format");
    await choose(page, "Occasion", "Every occasion");
    await page.getByLabel("Find a template").fill("moonshine");
    await page.getByText("No template matches").waitFor();
    await page.getByLabel("Find a template").fill("");
    await page.getByRole("button", { name: "Slope: favourite" }).click();
    expect(await tiles().first().getAttribute("aria-label")).to.equal("Begin with Slope");
    expect(await findings(page)).to.deep.equal([]);
  });

  it("pins a look, takes it, says what changed, and goes back in one step", async () => {
    page = await stage.open("/pieces/opening-announcement/look");
    const looks = page.getByRole("region", { name: "Other arrangements" });
    const takes = looks.getByRole("button", { name: /^Take the look / });
    await takes.first().waitFor();
    expect(await takes.count()).to.equal(12);
    const first = await takes.first().getAttribute("aria-label");
    await page.keyboard.press("n");
    await page.waitForFunction(
      (before) =>
        document.querySelector('[aria-label^="Take the look"]')?.getAttribute("aria-label") !==
        before,
      first,
    );
    await painted(page);
    const [, ...pins] = await looks.getByRole("button", { name: /^Pin / }).all();
    const pinned = (await pins[0]!.getAttribute("aria-label"))!.replace("Pin ", "");
    await pins[0]!.click();
    await page.keyboard.press("n");
    await looks.getByRole("heading", { name: "Pinned" }).waitFor();
    await page.reload();
    await looks.getByRole("button", { name: `Unpin ${pinned}` }).waitFor();
    await painted(page);
    await takes.first().click();
    await page.getByText(new RegExp(`^${pinned};? ?.*Ctrl\\+Z takes it back`)).waitFor();
    await page.getByRole("link", { name: /^Sizes/ }).click();
    await page.locator(".wall canvas").first().waitFor();
    await painted(page);
    expect(await page.getByText(/to fix$/).count()).to.equal(0);
    await page.locator("body").press("Control+z");
    await page.locator("figcaption", { hasText: "Lead Photo feed, tall" }).waitFor();
  });

  it("is archived and restored, and its crate is renamed in place", async () => {
    page = await stage.open("/");
    const shelf = page.getByRole("region", { name: "Boats at Rest" });
    await shelf.getByRole("button", { name: "Archive Family workshop" }).click();
    await shelf.getByText("1 piece archived").click();
    await shelf.getByRole("button", { name: "Restore" }).click();
    await shelf.getByRole("link", { name: "Open Family workshop" }).waitFor();
    await shelf.getByLabel("Name of the crate Boats at Rest").fill("Boats, resting");
    await page.keyboard.press("Enter");
    await page.getByRole("region", { name: "Boats, resting" }).waitFor();
    expect(await findings(page)).to.deep.equal([]);
  });

  it("is saved as a template of the house and begun with again", async () => {
    page = await stage.open("/pieces/float-before-lunch/look");
    await page.getByRole("button", { name: "Save as a template" }).click();
    await page.getByRole("dialog").getByLabel("Name").fill("Price on waves");
    await page.getByLabel("six lessons").check();
    await page.getByRole("button", { name: "Save the template" }).click();
    await page.getByText("is now among your templates").waitFor();
    await page.goto(`${stage.program.url}/templates`);
    await tiles().first().waitFor();
    expect(await tiles().first().getAttribute("aria-label")).to.equal("Begin with Price on waves");

    // What is begun with it is a copy; the template changes only when one says so.
    await page.getByLabel("What should it say?").fill("Row before tea");
    await page.getByRole("button", { name: "Begin with Price on waves" }).click();
    await page.waitForURL(/\/message$/);
    await page.getByRole("link", { name: /^Look/ }).click();
    await page.getByText("Started from the template").waitFor();
    await page.getByRole("button", { name: "Save as a template" }).click();
    await page.getByText("Update “Price on waves”").click();
    await page.getByRole("dialog").getByLabel("Name").fill("Waves with a price");
    await page.getByRole("button", { name: "Update the template" }).click();
    await page.getByText("was updated").waitFor();
    await page.goto(`${stage.program.url}/templates`);
    await page.getByRole("button", { name: "Begin with Waves with a price" }).waitFor();
    expect(await page.getByRole("button", { name: "Delete" }).count()).to.equal(1);
    await page.getByRole("button", { name: "Delete" }).click();
    await page
      .getByRole("button", { name: "Begin with Waves with a price" })
      .waitFor({ state: "detached" });
  });
});
