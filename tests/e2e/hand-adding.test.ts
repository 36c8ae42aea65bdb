import { readFile } from "node:fs/promises";
import { join } from "node:path";
import { expect } from "chai";
import sharp from "sharp";
import { findings } from "../support/axe";
import { Bench } from "../support/bench";
import { painted, saved } from "../support/browser";
import { demoFolder } from "../support/demo";
import { Stage } from "../support/stage";

const flopped = (picture: Buffer) => sharp(picture).flop().jpeg().toBuffer();

describe("what is added by hand", () => {
  const stage = new Stage({ height: 1000 });

  it("is a shape that stands on every size, near its edges or where a person wants it", async () => {
    const bench = await Bench.open(stage);
    await bench.addShape("star");
    expect(await bench.node("star")).to.deep.include({ kind: "shape", pin: {} });
    await bench.choose("On the other sizes", "Stays at the top right");
    await bench.saved();
    expect((await bench.node("star"))!.pin).to.deep.equal({ h: "right", v: "top" });
    await bench.choose("On the other sizes", "Keeps with: headline");
    await bench.saved();
    expect(await bench.node("star")).to.deep.include({ on: "headline", pin: {} });
    await bench.choose("On the other sizes", "Laid out with the words");
    await bench.saved();
    expect(await bench.node("star")).not.to.have.any.keys("on", "pin");
  });

  it("closes by Escape alone, and leaves what is selected to the keys", async () => {
    const bench = await Bench.open(stage);
    const { page } = bench;
    await bench.inList("Kicker").click();
    await bench.add("Shape");
    const star = page.getByRole("button", { name: "Add star", exact: true });
    await star.waitFor();
    await page.keyboard.press("Escape");
    await star.waitFor({ state: "hidden" });
    expect(await bench.surface.isVisible()).to.equal(true);
    const shape = page.getByRole("group", { name: "Add", exact: true }).getByText("Shape");
    expect(
      await shape.evaluate((text) => text.closest("button") === document.activeElement),
    ).to.equal(true);
    await page.keyboard.press("Delete");
    await bench.inList("Kicker").waitFor({ state: "detached" });
    await saved(page);
    expect(await bench.node("kicker")).to.equal(undefined);
    await page.getByRole("button", { name: "Undo" }).click();
    await bench.inList("Kicker").waitFor();
    // With nothing open, the first Escape lets go of what is selected, the next leads back to the wall.
    await bench.inList("Kicker").click();
    await page.keyboard.press("Escape");
    await bench.surface.getByText("Nothing selected").waitFor();
    await page.keyboard.press("Escape");
    await bench.surface.waitFor({ state: "detached" });
  });

  it("is an icon found by what it means, a code, a badge and words that are ready", async () => {
    const bench = await Bench.open(stage);
    const { page } = bench;
    await bench.add("Icon");
    await page.getByRole("textbox", { name: "Find an icon" }).fill("boat");
    await page.getByRole("button", { name: "Add sailboat" }).click();
    await bench.saved();
    expect((await bench.node("icon"))!.style.icon).to.equal("sailboat");
    await bench.add("QR code");
    const address = page.getByRole("textbox", { name: "Where the code leads" });
    expect(await address.inputValue()).to.match(/^https:\/\/.+/);
    await address.fill("https://quillmere.example/boats");
    await address.press("Enter");
    await bench.saved();
    expect((await bench.stored()).message.code).to.deep.equal({
      text: "https://quillmere.example/boats",
    });
    await bench.add("Badge");
    await bench.saved();
    expect((await bench.node("badge"))!.role).to.equal("badge");
    await bench.add("Badge");
    await page.getByText("There is a badge already").waitFor();
    await bench.add("Words");
    await page.getByRole("button", { name: "Quotation and who says it" }).click();
    await bench.saved();
    const { message } = await bench.stored();
    expect(Object.keys(message)).to.include.members(["quote", "author"]);
    await painted(page);
    expect(await findings(page)).to.deep.equal([]);
  });

  it("is some pictures in one area", async () => {
    const bench = await Bench.open(stage);
    const { page } = bench;
    await bench.add("Picture");
    const dialog = page.getByRole("dialog", { name: "Pictures to add" });
    const choice = dialog.locator(".picture");
    await choice.nth(0).click();
    await choice.nth(1).click();
    // One that is on no shelf yet comes from a file, and is chosen with it.
    const buffer = await readFile(join(demoFolder, "quillmere/pictures/allium.jpg"));
    const count = await choice.count();
    await dialog.getByLabel("From files").setInputFiles({
      name: "another.jpg",
      mimeType: "image/jpeg",
      buffer: await flopped(buffer),
    });
    await choice.nth(count).waitFor();
    await dialog.getByRole("button", { name: "Add 3 pictures" }).click();
    await bench.saved();
    const added = (await bench.stored()).arrangement.filter(({ id }) => id.startsWith("picture"));
    expect(added.length).to.be.at.least(3);
  });
});
