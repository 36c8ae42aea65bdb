import { expect } from "chai";
import type { Locator, Page } from "playwright-core";
import type { PieceAnswer } from "../../core/api";
import { findings } from "../support/axe";
import { Bench } from "../support/bench";
import { eventually, painted } from "../support/browser";
import { Stage } from "../support/stage";

describe("a size worked on by hand", () => {
  const stage = new Stage();
  let bench: Bench;
  let page: Page;
  let surface: Locator;

  async function open(size: string): Promise<void> {
    bench = await Bench.open(stage, size);
    ({ page, surface } = bench);
  }
  const saved = () => bench.saved();
  const field = (name: string) => bench.field(name);
  const stored = () => bench.stored();
  const inList = (name: string) => bench.inList(name);

  it("lets a node be dragged to the margin, to the pixel, and takes it back", async () => {
    await open("Photo feed, tall");
    const before = await stored();
    await inList("Headline").click();
    const [x, y] = [Number(await field("X").inputValue()), Number(await field("Y").inputValue())];
    // What comes within a few pixels of the margin, 100 from the right edge, stands on it.
    await bench.drag(1080, [x + 150, y + 80], [x + 150 + 342, y + 80]);
    await saved();
    expect(await field("X").inputValue()).to.equal(String(1080 - 100 - 530));
    const after = await stored();
    const headline = after.arrangement.find(({ id }) => id === "headline")!;
    expect(headline.box).to.deep.equal({ x: 450, y, width: 530, height: 362 });
    const undo = page.getByRole("button", { name: "Undo" });
    expect(await undo.getAttribute("title")).to.contain("headline moved");
    await undo.click();
    await saved();
    await page.waitForFunction(
      (was) => document.querySelector<HTMLInputElement>("input[aria-label=X]")?.value === was,
      String(x),
    );
    expect((await stored()).arrangement).to.deep.equal(before.arrangement);
    // With Ctrl it stands where it is let go.
    await bench.drag(1080, [x + 150, y + 80], [x + 150 + 342, y + 80], "Control");
    await saved();
    expect(Number(await field("X").inputValue()))
      .to.be.closeTo(x + 342, 2)
      .and.not.equal(450);
  });

  it("keeps what was moved on one size when the message changes, and gives it back", async () => {
    await open("Story");
    await inList("Date").click();
    const y = Number(await field("Y").inputValue());
    await field("Y").fill("1080/2 + 160");
    await field("Y").press("Enter");
    await saved();
    expect(y).not.to.equal(700);
    const placeOf = async () => {
      const size = (await stored()).sizes.find(({ placement }) => placement === "story");
      return Object.entries(size!.changes).find(([id]) => id.startsWith("date"))?.[1].place;
    };
    expect((await placeOf())!.y * 1920).to.be.closeTo(700, 0.01);
    await page.getByRole("textbox", { name: "Headline" }).fill("Boats at rest in winter light");
    await saved();
    expect((await placeOf())!.y * 1920).to.be.closeTo(700, 0.01);
    await inList("Date own").click();
    expect(await field("Y").inputValue()).to.equal("700");
    await bench.ledger.getByRole("button", { name: "Back to how the lead has it" }).click();
    await saved();
    expect(await placeOf()).to.equal(undefined);
  });

  it("aligns and spaces several, copies, layers and takes out, and undoes it all", async () => {
    await open("Photo feed, tall");
    const before = await stored();
    await bench.addShape("rectangle");
    expect(await field("Width").inputValue()).not.to.equal("");
    for (let copies = 0; copies < 2; copies++) {
      await surface.focus();
      await page.keyboard.press("Control+d");
      await page.keyboard.press("Shift+ArrowDown");
      await saved();
    }
    await inList("Rectangle").click();
    await inList("Rectangle 2").click({ modifiers: ["Shift"] });
    await inList("Rectangle 3").click({ modifiers: ["Shift"] });
    await page.getByRole("button", { name: "Align left edges" }).click();
    await page.getByRole("button", { name: "Gaps down" }).click();
    await saved();
    const three = (await stored()).arrangement.filter(({ id }) => id.startsWith("rectangle"));
    expect(new Set(three.map(({ box }) => Math.round(box.x))).size).to.equal(1);
    const ys = three.map(({ box }) => box.y).sort((a, b) => a - b);
    expect(ys[1]! - ys[0]!).to.be.closeTo(ys[2]! - ys[1]!, 0.01);
    await page.getByRole("button", { name: "To back" }).click();
    await saved();
    await surface.focus();
    await page.keyboard.press("Delete");
    await saved();
    for (let more = true; more;) {
      const answered = page.waitForResponse((response) => response.url().endsWith("/undo"));
      await page.getByRole("button", { name: "Undo" }).click();
      more = ((await (await answered).json()) as PieceAnswer).undo !== undefined;
    }
    expect((await stored()).arrangement).to.deep.equal(before.arrangement);
  });

  it("has its words written where they stand, accents and signs too, and every size follows", async () => {
    await open("Photo feed, tall");
    await inList("Headline").click();
    const [x, y] = [Number(await field("X").inputValue()), Number(await field("Y").inputValue())];
    const { width } = (await surface.boundingBox())!;
    const by = width / 1080;
    await surface.dblclick({ position: { x: (x + 80) * by, y: (y + 80) * by } });
    const over = page.getByRole("textbox", { name: "Headline, written where it stands" });
    await over.waitFor();
    await page.keyboard.type("Café");
    await page.keyboard.insertText(" am Šee ⛵");
    await saved();
    expect(
      await page.getByRole("textbox", { name: "Headline", exact: true }).inputValue(),
    ).to.equal("Café am Šee ⛵");
    await page.keyboard.press("Escape");
    await over.waitFor({ state: "detached" });
    await painted(page);
    expect((await stored()).message.headline).to.include({ text: "Café am Šee ⛵" });
    await page.getByRole("button", { name: "Undo" }).click();
    await page.waitForFunction(
      () =>
        document.querySelector<HTMLTextAreaElement>(".headline textarea")?.value ===
        "Boats at rest in winter light",
    );
  });

  it("is worked by keys alone, and says what is selected", async () => {
    await open("Photo feed, tall");
    await surface.focus();
    await page.keyboard.press("Tab");
    const said = surface.getByRole("status");
    const first = await said.textContent();
    await page.keyboard.press("Tab");
    await eventually(async () => expect(await said.textContent()).not.to.equal(first));
    const x = Number(await field("X").inputValue());
    await page.keyboard.press("ArrowRight");
    await page.keyboard.press("Shift+ArrowRight");
    await saved();
    expect(Number(await field("X").inputValue())).to.be.closeTo(x + 11, 0.1);
    await page.keyboard.press("Control+c");
    await page.keyboard.press("Escape");
    await said.filter({ hasText: "Nothing selected" }).waitFor();
    expect(await findings(page)).to.deep.equal([]);
    await page.keyboard.press("Escape");
    await page.locator(".wall").waitFor();
    // What was copied is pasted into another piece.
    await page.goto(`${stage.program.url}/pieces/family-workshop/sizes`);
    await painted(page);
    await page.getByRole("button", { name: /^Photo feed, square, / }).press("Enter");
    const there = page
      .getByRole("region", { name: "Everything on this size" })
      .getByRole("listitem");
    await there.first().waitFor();
    const count = await there.count();
    await surface.focus();
    await page.keyboard.press("Control+v");
    await there.nth(count).waitFor();
    await saved();
    expect(await there.count()).to.equal(count + 1);
  });

  it("in a set stands where it was put, as do the sizes that follow", async () => {
    const wanted = { like: "opening-announcement", pieces: ["late-opening"] };
    await stage.program.ask("/api/crates/boats-at-rest/set", wanted);
    // The lead is composed as the set has it before something in it is moved: what is dragged sooner comes after it.
    let answer = (): void => undefined;
    const answers = new Promise<void>((resolve) => (answer = resolve));
    const ask = stage.context.waitForEvent("request", (to) => to.url().includes("/with-lead?"));
    await stage.context.route("**/with-lead?*", (route) => answers.then(() => route.continue()));
    await open("Photo feed, tall");
    await inList("Headline").click();
    const [x, y] = [await bench.number("X"), await bench.number("Y")];
    await bench.drag(1080, [x + 150, y + 60], [x + 210, y + 90], "Control");
    await ask;
    expect((await stored()).siblings?.composed).to.equal(undefined);
    answer();
    await eventually(async () => expect(await bench.number("X")).to.be.closeTo(x + 60, 2));
    await stage.context.unroute("**/with-lead?*");
    await saved();
    expect(await bench.number("Y")).to.be.closeTo(y + 30, 2);
    expect((await stored()).siblings?.composed).to.equal(true);
    await open("Story");
    await inList("Date").click();
    const at = await bench.number("Y");
    const headline = page.getByText(/^\d+ px, \d lines?$/);
    const before = await headline.textContent();
    await field("Y").fill(String(at + 40));
    await field("Y").press("Enter");
    await saved();
    expect(await bench.number("Y")).to.be.closeTo(at + 40, 1);
    expect(await headline.textContent()).to.equal(before);
  });
});
