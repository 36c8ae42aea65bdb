import { expect } from "chai";
import { join } from "node:path";
import type { Page } from "playwright-core";
import type { PieceAnswer } from "../../core/api";
import { isPicture, isText } from "../../core/piece";
import { findings } from "../support/axe";
import { painted, saved } from "../support/browser";
import { demoFolder } from "../support/demo";
import { until } from "../support/server";
import { Stage } from "../support/stage";

describe("words and pictures of a message", () => {
  const stage = new Stage();
  let page: Page;
  const headline = () => page.getByRole("textbox", { name: "Headline" });
  const stored = async (id: string) =>
    (await stage.program.ask<PieceAnswer>(`/api/pieces/${id}`)).piece;

  it("adds a slot with a press, shows it on every size, and takes it out again", async () => {
    page = await stage.open("/pieces/opening-announcement/message");
    await page.getByRole("button", { name: "Place", exact: true }).click();
    await page.keyboard.type("at the old tollgate");
    await saved(page);
    expect((await stored("opening-announcement")).message.place).to.deep.include({
      text: "at the old tollgate",
    });
    await painted(page);
    const without = page.getByText("without place");
    expect(await without.count()).to.be.below(6);
    const place = page.getByRole("textbox", { name: "Place" });
    await place.fill("");
    await page.getByRole("button", { name: "Take place out" }).click();
    await place.waitFor({ state: "detached" });
    await saved(page);
    expect((await stored("opening-announcement")).message).not.to.have.property("place");
    await page.getByRole("switch", { name: "Show the logo" }).click();
    await saved(page);
    expect((await stored("opening-announcement")).without).to.deep.equal(["logo"]);
    await page.getByRole("switch", { name: "Show the logo" }).click();
    await saved(page);
    const sheet = await page.request.get(
      `${stage.program.url}/api/pieces/opening-announcement/sheet?format=pdf`,
    );
    expect(sheet.status()).to.equal(200);
    expect((await sheet.body()).subarray(0, 5).toString()).to.equal("%PDF-");
  });

  it("keeps other wordings, exchanges them, and makes a batch of them", async () => {
    page = await stage.open("/pieces/opening-announcement/message");
    await headline().click();
    await page.getByRole("button", { name: "Save as alternative" }).click();
    await page.keyboard.type("Harbour days");
    const kept = page.getByRole("list", { name: "Kept for the Headline" });
    await kept.getByText("Boats at rest").waitFor();
    await kept.getByRole("button", { name: "Boats at rest", exact: true }).click();
    await kept.getByText("Harbour days").waitFor();
    expect(await headline().inputValue()).to.equal("Boats at rest");
    await saved(page);

    await page.getByRole("link", { name: /^Batch/ }).click();
    await page.getByRole("button", { name: "Use saved alternatives: headline" }).click();
    const table = page.getByRole("region", { name: "Table" });
    await table.getByRole("row").nth(2).waitFor();
    expect(await table.getByRole("row").count()).to.equal(3);
    await page
      .getByText(/2 variations/)
      .first()
      .waitFor();
    // Taken back: the words, then what was kept.
    await page.locator("body").press("Control+z");
    // Shown at once; the server is told a moment later.
    const takenBack = await until(
      async () => (await stored("opening-announcement")).message.headline,
      (now) => isText(now) && now.text === "Harbour days",
    );
    expect(takenBack).to.deep.include({ text: "Harbour days", alternatives: ["Boats at rest"] });
  });

  it("takes over what stood out where words were copied, and pastes other words plainly", async () => {
    page = await stage.open("/pieces/family-workshop/message");
    await headline().fill("");
    const paste = (html: string, plain: string) =>
      headline().evaluate(
        (field, data) => {
          const clipboardData = new DataTransfer();
          clipboardData.setData("text/html", data.html);
          clipboardData.setData("text/plain", data.plain);
          const event = new ClipboardEvent("paste", { clipboardData, bubbles: true });
          Object.defineProperty(event, "cancelable", { value: true });
          field.dispatchEvent(event);
        },
        { html, plain },
      );
    await paste(
      "<meta charset=utf-8><b style='font-weight:normal'><p>Make a <strong>camera</strong> of <u>cardboard</u></p></b>",
      "Make a camera of cardboard",
    );
    expect(await headline().inputValue()).to.equal("Make a *camera* of _cardboard_");
    await page.locator("body").press("Control+z");
    await saved(page);
  });

  it("moves and enlarges a picture by hand on one size, and gives it back", async () => {
    page = await stage.open("/pieces/opening-announcement/sizes");
    await page.getByRole("button", { name: /^Story, 1080/ }).click();
    await page.keyboard.press("Enter");
    const surface = page.getByRole("group", { name: /by hand/ });
    await surface.waitFor();
    await painted(page);
    await surface.dblclick({ position: { x: 60, y: 60 } });
    const picture = page.getByRole("button", { name: /^Picture in its frame/ });
    await picture.waitFor();
    const { x, y, width, height } = (await picture.boundingBox())!;
    await page.mouse.move(x + width / 2, y + height / 2);
    for (let i = 0; i < 3; i++) await page.mouse.wheel(0, -100);
    await page.mouse.down();
    await page.mouse.move(x + width / 2 - 12, y + height / 2, { steps: 6 });
    await page.mouse.up();
    await saved(page);
    const story = async () =>
      (await stored("opening-announcement")).sizes.find(({ placement }) => placement === "story")!;
    const { framing } = (await story()).changes.photo!.style!;
    expect(framing!.zoom).to.be.closeTo(1.1 ** 3, 0.001);
    expect(framing!.panX).to.be.above(0);
    const photo = async () =>
      (await stored("opening-announcement")).arrangement.find(({ id }) => id === "photo")!;
    expect((await photo()).style.framing).to.equal(undefined);

    await picture.focus();
    await page.keyboard.press("Shift+ArrowLeft");
    await saved(page);
    expect((await story()).changes.photo!.style!.framing!.panX).to.be.above(framing!.panX);
    // What is done to a size that has something of its own is done there.
    expect(await page.getByLabel("Only on this size").isChecked()).to.equal(true);
    await page.getByText("Filters", { exact: true }).click();
    await page.getByRole("button", { name: "Tide and Sun" }).click();
    await saved(page);
    expect((await story()).changes.photo!.style!.adjust).to.have.keys("duotone");
    expect((await photo()).style.adjust).to.equal(undefined);
    await page.getByRole("button", { name: "Follow the lead again" }).click();
    await saved(page);
    expect((await story()).changes).to.deep.equal({});
  });

  it("keeps whole what a person says matters in a picture, and goes back to what was found", async () => {
    page = await stage.open("/pieces/late-opening/message");
    const frame = page.getByRole("button", { name: /^What matters in the picture/ });
    await frame.waitFor();
    const areas = async () => {
      const { message } = await stored("late-opening");
      return (message.picture as { areas?: { x: number; width: number }[] }).areas;
    };
    const middle = async () => {
      const [area] = (await areas())!;
      return area!.x + area!.width / 2;
    };
    const { width } = (await frame.boundingBox())!;
    await frame.click({ position: { x: 0.3 * width, y: 30 } });
    await saved(page);
    expect(await middle()).to.be.closeTo(0.3, 0.02);
    await frame.press("Shift+ArrowRight");
    await saved(page);
    expect(await middle()).to.be.closeTo(0.4, 0.02);
    // Pressed, an area does not matter any more; then nothing that was said holds.
    await page.getByRole("button", { name: /^What the picture shows is kept whole/ }).click();
    await saved(page);
    expect(await areas()).to.have.nested.property("[0].weight", 0);
    await page.getByRole("button", { name: "Reset focus" }).click();
    await saved(page);
    expect(await areas()).to.equal(undefined);
    await page
      .getByText(/is kept/)
      .first()
      .waitFor();
  });

  it("keeps what is drawn on a picture, and its size can be changed by keys", async () => {
    page = await stage.open("/pieces/late-opening/message");
    const frame = page.getByRole("button", { name: /^What matters in the picture/ });
    await frame.waitFor();
    const area = async () => {
      const { message } = await stored("late-opening");
      return (message.picture as { areas: { x: number; y: number; width: number }[] }).areas.at(
        -1,
      )!;
    };
    const { x, y, width, height } = (await frame.boundingBox())!;
    await page.mouse.move(x + 0.2 * width, y + 0.3 * height);
    await page.mouse.down();
    await page.mouse.move(x + 0.4 * width, y + 0.5 * height, { steps: 4 });
    await page.mouse.move(x + 0.6 * width, y + 0.7 * height, { steps: 4 });
    await page.mouse.up();
    await saved(page);
    const drawn = await area();
    expect(drawn.x).to.be.closeTo(0.2, 0.02);
    expect(drawn.y).to.be.closeTo(0.3, 0.02);
    expect(drawn.width).to.be.closeTo(0.4, 0.02);
    await frame.press("+");
    await saved(page);
    expect((await area()).width).to.be.closeTo(0.44, 0.02);
    await page.getByRole("button", { name: "Reset focus" }).click();
    await saved(page);
  });

  it("filters a picture in the brand's colours on all sizes, and undoes it in one step", async () => {
    page = await stage.open("/pieces/opening-announcement/message");
    await page.getByText("Filters", { exact: true }).click();
    await page.getByRole("button", { name: "Tide and Sun" }).click();
    await page.getByText("Adjust", { exact: true }).click();
    const contrast = page.getByRole("slider", { name: /^Contrast/ });
    for (let i = 0; i < 6; i++) await contrast.press("ArrowRight");
    await saved(page);
    const adjust = async () =>
      (await stored("opening-announcement")).arrangement.find(({ id }) => id === "photo")!.style
        .adjust;
    expect(await adjust()).to.deep.equal({
      duotone: { dark: "tide", light: "sun" },
      contrast: 0.3,
    });
    await painted(page);
    expect(await findings(page)).to.deep.equal([]);
    await page.locator("body").press("Control+z");
    await page.waitForFunction(
      async () =>
        (await (await fetch("/api/pieces/opening-announcement")).json()).piece.arrangement.find(
          ({ id }: { id: string }) => id === "photo",
        ).style.adjust === undefined,
    );
  });

  it("takes a picture in for a new piece, at the head of the others", async () => {
    page = await stage.open("/templates");
    const pictures = page.getByRole("region", { name: "Pictures" });
    await pictures.getByRole("button", { name: "Add", exact: true }).waitFor();
    await page
      .getByLabel("Add pictures")
      .setInputFiles(join(demoFolder, "quillmere/pictures/allium.jpg"));
    await pictures.getByRole("button", { name: "allium.jpg", pressed: true }).waitFor();
    await page.getByLabel("What should it say?").fill("Onions in flower\nEvery morning in May");
    await page.getByRole("button", { name: "Begin with Half and half" }).click();
    await page.waitForURL(/\/message$/);
    const id = page.url().split("/").at(-2)!;
    const { message, origin } = await stored(id);
    expect(origin?.name).to.equal("Half and half");
    const { picture } = message.picture as { picture: string };
    expect(isPicture(message.picture)).to.equal(true);
    const { pictures: shelf } = await stage.program.ask<{
      pictures: { id: string; name: string }[];
    }>("/api/pictures");
    expect(shelf.find((one) => one.id === picture)?.name).to.equal("allium.jpg");
  });
});
