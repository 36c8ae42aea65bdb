import { expect } from "chai";
import sharp from "sharp";
import { choose, eventually, painted } from "../support/browser";
import { Stage } from "../support/stage";

describe("the places", () => {
  const stage = new Stage();

  it("are gone to by name, each marked where one is, also from an address where nothing is", async () => {
    const page = await stage.open("/no-such-place");
    await page.getByRole("heading", { name: "There is nothing at this address" }).waitFor();
    const places = page.getByRole("navigation", { name: "Places" });
    for (const name of ["Brand kits", "Templates", "Pictures", "Placements", "Storage", "Crates"]) {
      await places.getByRole("link", { name, exact: true }).click();
      await page.locator("nav [aria-current=page]", { hasText: name }).waitFor();
    }
  });

  it("are found, with all that is in them, by a few letters and the keyboard alone", async () => {
    const page = await stage.open("/placements");
    await page.getByRole("heading", { name: "Placements" }).waitFor();
    await page.keyboard.press("/");
    await page.getByRole("dialog", { name: "Find" }).waitFor();
    await page.keyboard.type("work fam");
    await page.getByRole("option", { name: /^Family workshop/ }).waitFor();
    await page.keyboard.press("Enter");
    await page.waitForURL(/\/pieces\/family-workshop\/sizes$/);
    await painted(page);
    await page.keyboard.press("Control+k");
    await page.keyboard.type("new brand");
    await page.getByRole("option", { name: /New brand kit/ }).waitFor();
    await page.keyboard.press("ArrowDown");
    await page.keyboard.press("ArrowUp");
    await page.keyboard.press("Enter");
    await page.waitForURL(/\/brands\/new$/);
    await page.keyboard.press("Control+k");
    await page.keyboard.type("zzz");
    await page.getByText("Nothing is called “zzz”.").waitFor();
    await page.keyboard.press("Escape");
    await page.getByRole("dialog", { name: "Find" }).waitFor({ state: "detached" });
  });

  it("show all brand kits, with how much is made with each", async () => {
    const page = await stage.open("/brands");
    const kits = page.locator("main li");
    await kits.first().waitFor();
    expect(await kits.count()).to.equal(2);
    expect(await kits.first().innerText()).to.contain("5 pieces");
    await page.getByRole("link", { name: /Saltlight/ }).click();
    await page.waitForURL(/\/brands\/saltlight$/);
  });

  it("show each brand its own pictures, replace one everywhere, and put an unused one in the bin", async () => {
    const page = await stage.open("/pictures");
    await choose(page, "Pictures of", "Quillmere Museum of Everyday Pictures");
    const shelf = page.locator("main li");
    await shelf.first().waitFor();
    const before = await shelf.count();
    await choose(page, "Use", "Not used");
    await eventually(async () => expect(await shelf.count()).to.be.lessThan(before));
    await choose(page, "Use", "Used or not");
    const background = "#88aacc";
    const buffer = await sharp({ create: { width: 300, height: 500, channels: 3, background } })
      .jpeg()
      .toBuffer();
    await page
      .getByLabel("Add pictures")
      .setInputFiles({ name: "sky.jpg", mimeType: "image/jpeg", buffer });
    await page.waitForFunction(
      (count) => document.querySelectorAll("main li").length === count,
      before + 1,
    );
    await page.getByRole("button", { name: "harbour-boats.jpg" }).click();
    const detail = page.getByRole("complementary", { name: "harbour-boats.jpg" });
    await detail.getByRole("link", { name: "Opening announcement" }).waitFor();
    await detail.getByRole("button", { name: "Replace everywhere" }).click();
    await page.getByRole("button", { name: "Take dust-bowl-home.jpg" }).click();
    await page.getByText("Replaced in 2 pieces").waitFor();
    await detail.getByText("No piece shows it.").waitFor();
    // The history of the piece still shows it, so that undo can bring it back.
    await detail.getByRole("button", { name: "Delete it" }).click();
    await page.getByRole("alert").getByText("harbour-boats.jpg").waitFor();

    await choose(page, "Pictures of", "Saltlight Swim Club");
    await page.waitForFunction(() => !document.body.textContent.includes("dust-bowl-home.jpg"));
  });
});
