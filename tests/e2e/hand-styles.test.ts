import { expect } from "chai";
import { Bench } from "../support/bench";
import { eventually, painted } from "../support/browser";
import { Stage } from "../support/stage";

describe("what is styled and put in order by hand", () => {
  const stage = new Stage({ height: 1400 });

  it("takes a tint of the brand, a plate, another face and a least size, and says so in the document", async () => {
    const bench = await Bench.open(stage);
    const { page, ledger } = bench;
    await bench.inList("Support").click();
    await ledger.getByRole("button", { name: "Tide", exact: true }).first().click();
    await bench.saved();
    const brand = (await bench.node("support"))!.style.colour;
    await ledger.getByRole("group", { name: "Tints" }).getByRole("button").first().click();
    await bench.saved();
    expect((await bench.node("support"))!.style.colour).to.match(new RegExp(`^${brand}/\\d+$`));
    await bench.choose("Typeface", /for headlines$/);
    await bench.saved();
    expect((await bench.node("support"))!.style.type).to.equal("headline");
    const least = ledger.getByRole("textbox", { name: /^Never smaller than/ });
    await least.fill("52");
    await least.press("Enter");
    await bench.saved();
    expect((await bench.node("support"))!.style.least).to.equal(52);
    await ledger.getByText("Plate and outline").click();
    await ledger.getByRole("checkbox", { name: "On a plate" }).click();
    await bench.becomes("support", ({ style }) => style.plate?.per === "block");
    await ledger.getByRole("checkbox", { name: "On a plate" }).click();
    await bench.becomes("support", ({ style }) => style.plate === undefined);
    await painted(page);
  });

  it("takes a colour from the finished graphic, by pointer and by keyboard", async () => {
    const bench = await Bench.open(stage);
    const { page, ledger, surface } = bench;
    const ground = (await stage.program.ask<{ colours: { id: string; hex: string }[] }>(
      "/api/brands/quillmere",
    ))!.colours.map(({ hex }) => hex);
    await bench.inList("Support").click();
    const frame = (await surface.boundingBox())!;
    await ledger.getByRole("button", { name: "The graphic" }).click();
    await page.mouse.click(frame.x + 3, frame.y + frame.height - 3);
    await bench.saved();
    // The ground at the bottom left of the piece is a colour of the brand.
    const taken = (await bench.node("support"))!.style.colour!;
    expect(ground).to.include(taken);
    // Words that have no plate of their own get one, whose colour is chosen over the page.
    await ledger.getByText("Plate and outline").click();
    await ledger.getByRole("checkbox", { name: "On a plate" }).click();
    await ledger.getByRole("button", { name: "Plate: choose a colour" }).click();
    await page.locator(".n-popover").getByRole("button", { name: "The graphic" }).click();
    await page.getByRole("application", { name: /^Press where a colour/ }).press("ArrowDown");
    await page.keyboard.press("Enter");
    await bench.becomes("support", ({ style }) => /^#[0-9A-F]{6}$/.test(style.plate?.colour ?? ""));
    expect(await page.getByRole("application").count()).to.equal(0);
  });

  it("takes a gradient, a dashed outline and a shadow", async () => {
    const bench = await Bench.open(stage);
    const { ledger } = bench;
    await bench.addShape("circle");
    await ledger.getByRole("checkbox", { name: "Gradient" }).click();
    await ledger.getByRole("checkbox", { name: "Outline", exact: true }).click();
    await bench.choose("Kind of line", "Dashed");
    await ledger.getByText("Shadow and blending").click();
    await ledger.getByRole("checkbox", { name: "Shadow" }).click();
    await bench.choose("Blending", "Darkens what is behind");
    await bench.saved();
    const { style } = (await bench.node("ellipse"))!;
    expect(style.gradient!.stops).to.have.lengthOf(2);
    expect(style.stroke).to.deep.include({ width: 4, dash: [12, 8] });
    expect(style.shadow).to.include({ y: 8, opacity: 0.35 });
    expect(style.blend).to.equal("multiply");
  });

  it("is grouped, taken as one, called by a name and parted, and lies in another order", async () => {
    const bench = await Bench.open(stage);
    const { page, surface, ledger } = bench;
    await bench.inList("Kicker").click();
    await bench.inList("Support").click({ modifiers: ["Shift"] });
    await surface.press("Control+g");
    await bench.saved();
    const name = page.getByRole("textbox", { name: "Name of the group" });
    await name.fill("About it");
    await name.press("Enter");
    await bench.saved();
    const groups = (await bench.stored()).arrangement.flatMap(({ id, group }) =>
      group ? [[id, group]] : [],
    );
    expect(groups).to.have.deep.members([
      ["kicker", "About it"],
      ["support", "About it"],
    ]);
    // A press on one of them takes both; the next takes the one that is pressed.
    await surface.press("Escape");
    const { x, y } = (await bench.node("kicker"))!.box;
    await bench.drag(1080, [x + 20, y + 10], [x + 20, y + 10]);
    await ledger.getByRole("heading", { name: "2 selected" }).waitFor();
    await bench.drag(1080, [x + 20, y + 10], [x + 20, y + 10]);
    await ledger.getByRole("heading", { name: "Kicker" }).waitFor();
    await surface.press("Control+Shift+g");
    await bench.saved();
    expect((await bench.stored()).arrangement.some(({ group }) => group)).to.equal(false);
    const order = async () => (await bench.stored()).arrangement.map(({ id }) => id);
    const before = await order();
    await bench.inList("Kicker").press("Alt+ArrowUp");
    await bench.saved();
    const after = await order();
    expect(after.indexOf("kicker")).to.equal(before.indexOf("kicker") + 1);
    // By dragging a row onto another it lies right in front of that.
    await bench.inList("Kicker").dragTo(bench.inList("Picture"));
    await eventually(async () => {
      const dropped = await order();
      expect(dropped.indexOf("kicker")).to.equal(dropped.indexOf("photo") + 1);
    });
  });

  it("is looked at nearer, and the history goes back to any step", async () => {
    const bench = await Bench.open(stage);
    const { page, surface } = bench;
    const whole = (await surface.boundingBox())!.width;
    await surface.press("+");
    await page.waitForFunction(
      (was) => document.querySelector(".surface")!.getBoundingClientRect().width > 1.2 * was,
      whole,
    );
    await page.getByRole("group", { name: "Zoom" }).getByRole("button", { name: "100 %" }).click();
    await page.waitForFunction(
      () => Math.abs(document.querySelector(".surface")!.getBoundingClientRect().width - 1080) < 1,
    );
    await surface.press("0");
    await page.waitForFunction(
      (was) =>
        Math.abs(document.querySelector(".surface")!.getBoundingClientRect().width - was) < 1,
      whole,
    );
    await bench.inList("Headline").click();
    const x = await bench.number("X");
    for (let more = 0; more < 3; more++) await surface.press("Shift+ArrowRight");
    await bench.saved();
    await bench.inList("Date").click();
    await surface.press("Delete");
    await bench.saved();
    await page.getByRole("button", { name: "History" }).click();
    const steps = page.getByRole("list", { name: "History" }).getByRole("button");
    await steps.filter({ hasText: "As it began" }).click();
    await bench.saved();
    const began = await bench.stored();
    expect(began.arrangement.some(({ id }) => id === "date")).to.equal(true);
    // However long the newest steps take to come, none of an earlier look can be pressed.
    await page.route("**/history", async (route) => {
      await page.waitForTimeout(400);
      await route.continue();
    });
    await page.getByRole("button", { name: "History" }).click();
    await steps.filter({ hasText: "Headline moved" }).first().click();
    await bench.saved();
    await bench.inList("Headline").click();
    expect(await bench.number("X")).to.equal(x + 30);
  });
});
