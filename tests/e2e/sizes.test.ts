import { expect } from "chai";
import type { Page } from "playwright-core";
import { findings } from "../support/axe";
import { saved, settled } from "../support/browser";
import { Stage } from "../support/stage";

describe("the sizes of a piece", () => {
  const stage = new Stage({ sizes: "all" });
  let page: Page;

  const open = async (piece: string): Promise<void> => {
    page = await stage.open(`/pieces/${piece}/sizes`);
    await page.locator(".wall canvas").first().waitFor();
    await settled(page);
  };
  const size = (name: string) => page.getByRole("button", { name: `${name}, ` });
  const ledger = () => page.getByRole("complementary", { name: "Ledger" });

  it("stand by channel, the lead's first, all of one kind at one scale", async () => {
    await open("opening-announcement");
    expect(await page.locator(".channel h3").first().textContent()).to.equal("Photo feed");
    const width = async (name: string) => (await size(name).locator("canvas").boundingBox())!.width;
    expect(await width("Photo feed, tall")).to.equal(await width("Photo feed, square"));
    const [link, post] = [
      await width("Link picture (Open Graph)"),
      await width("Photo feed, square"),
    ];
    expect(link / post).to.be.closeTo(1200 / 1080, 0.02);
  });

  it("take a size of one's own with its margins", async () => {
    await open("opening-announcement");
    await page.getByRole("button", { name: "Choose sizes" }).click();
    await page.getByText("A size of your own").click();
    const form = page.getByRole("form", { name: "A size of your own" });
    await form.getByLabel("Name").fill("Booth screen");
    await form.getByLabel("Width, px").fill("0");
    await form.getByRole("button", { name: "Add this size" }).click();
    expect(await form.getByRole("alert").textContent()).to.contain("at least 1 px");
    await form.getByLabel("Width, px").fill("1366");
    await form.getByLabel("Height, px").fill("768");
    await form.getByLabel("Margin left").fill("300");
    await form.getByRole("button", { name: "Add this size" }).click();
    await page.getByRole("button", { name: "Done" }).click();
    await size("Booth screen").waitFor();
    await saved(page);
    await page.reload();
    await size("Booth screen").click();
    expect(await ledger().getByRole("heading").first().textContent()).to.equal("Booth screen");
  });

  it("are laid out as a person picks, are marked so, and are given back", async () => {
    await open("opening-announcement");
    await size("Story").click();
    const before = await ledger().getByText("Layout").locator("+ dd").textContent();
    await page.getByRole("button", { name: "Other layouts" }).click();
    const choices = page.locator(".choice");
    await choices.first().waitFor();
    expect(await choices.count()).to.be.within(2, 3);
    await choices.nth(1).click();
    await saved(page);
    await settled(page);
    const after = await ledger().getByText("Layout").locator("+ dd").textContent();
    expect(after).to.not.equal(before);
    await page.getByText("Changed on this size").waitFor();
    await page.getByRole("button", { name: "Follow the lead again" }).click();
    await saved(page);
    await settled(page);
    expect(await ledger().getByText("Layout").locator("+ dd").textContent()).to.equal(before);
    expect(await page.getByText("Changed on this size").count()).to.equal(0);
  });

  it("let another one lead after a look at before and after, and compare", async () => {
    await open("opening-announcement");
    await size("Story").click();
    await page.getByRole("button", { name: "Make it the lead" }).click();
    const dialog = page.getByRole("dialog");
    await dialog.locator("canvas").first().waitFor();
    expect(await dialog.locator("canvas").count()).to.be.at.least(28);
    await dialog.getByRole("button", { name: "Make it the lead" }).click();
    await saved(page);
    await settled(page);
    expect(await page.locator("figcaption", { hasText: "Lead Story" }).count()).to.equal(1);
    expect(await page.locator(".channel h3").first().textContent()).to.equal("Story");

    const tall = size("Photo feed, tall").locator("canvas");
    const now = (await tall.screenshot()).toString("base64");
    await page.getByRole("button", { name: "Before", exact: true }).click();
    await settled(page);
    expect((await tall.screenshot()).toString("base64") === now).to.equal(false);
    await page.getByRole("button", { name: "Back to now" }).click();
    await settled(page);
    expect((await tall.screenshot()).toString("base64") === now).to.equal(true);
    await page.locator("body").press("Control+z");
    await page.locator("figcaption", { hasText: "Lead Photo feed, tall" }).waitFor();
  });
});

describe("the placements' page", () => {
  const stage = new Stage({ sizes: "all" });
  let page: Page;
  const open = async (): Promise<void> => {
    page = await stage.open("/placements");
    await page.getByRole("heading", { name: "Photo feed" }).waitFor();
  };
  const card = (name: string) => page.getByRole("button", { name: `Safe area of ${name}: ` });

  it("corrects a placement after a look at the pieces that go there", async () => {
    await open();
    await page.getByLabel("Find a placement").fill("pinboard");
    await card("Pinboard, tall").click();
    const editor = page.getByRole("complementary", { name: "Pinboard, tall" });
    await editor.getByRole("link", { name: /Opening announcement/ }).waitFor();
    await editor.getByLabel("Margin, px").fill("150");
    await editor.locator("canvas").first().waitFor();
    await settled(page);
    const [before, after] = await Promise.all(
      [0, 1].map(async (at) =>
        (await editor.locator("canvas").nth(at).screenshot()).toString("hex"),
      ),
    );
    expect(before === after).to.equal(false);
    await editor.getByRole("button", { name: "Save", exact: true }).click();
    await page.getByText("Corrected").waitFor();
    // What is retired now is the corrected one, and the correction is not lost with it.
    await editor.getByRole("button", { name: "Retire" }).click();
    await editor.getByRole("button", { name: "Offer it again" }).click();
    await page.getByText("Corrected").waitFor();
    expect(await editor.getByLabel("Margin, px").inputValue()).to.equal("150");
    await editor.getByRole("button", { name: "Back to the shipped facts" }).click();
    await page.getByText("Corrected").waitFor({ state: "detached" });
  });

  it("adds one, offers it to pieces, retires it and takes it back out", async () => {
    await open();
    await page.getByRole("button", { name: "Add a placement" }).click();
    const editor = page.getByRole("complementary", { name: "New placement" });
    await editor.getByLabel("Name", { exact: true }).fill("Tram screen");
    await editor.getByLabel("Width, px").fill("-1");
    await editor.getByRole("button", { name: "Add it" }).click();
    await editor.getByRole("alert").getByText("Nothing was saved").waitFor();
    await editor.getByLabel("Width, px").fill("1920");
    await editor.getByRole("button", { name: "Add it" }).click();
    const added = page.getByRole("complementary", { name: "Tram screen" });
    await added.getByRole("button", { name: "Retire" }).click();
    await added.getByRole("button", { name: "Offer it again" }).waitFor();
    await added.getByRole("button", { name: "Delete" }).click();
    await added.waitFor({ state: "detached" });
    expect(await page.getByText("Tram screen").count()).to.equal(0);
  });

  it("takes a catalogue in, and says what is no catalogue", async () => {
    await open();
    const file = await page.request.get(`${new URL(page.url()).origin}/api/placements/export`);
    const catalogue = await file.json();
    const kiosk = { ...catalogue.placements[0], id: "kiosk", name: "Kiosk" };
    const upload = (text: string) =>
      page.getByLabel("A catalogue to import").setInputFiles({
        name: "placements.json",
        mimeType: "application/json",
        buffer: Buffer.from(text),
      });
    await upload("no json");
    await page.getByText("is not JSON").waitFor();
    await upload(JSON.stringify({ ...catalogue, placements: [kiosk] }));
    await page.getByText("1 placement added").waitFor();
    await card("Kiosk").waitFor();
  });

  it("has no accessibility finding", async () => {
    await open();
    await card("Story").click();
    expect(await findings(page)).to.deep.equal([]);
  });
});
