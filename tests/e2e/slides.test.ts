import { readFile } from "node:fs/promises";
import { expect } from "chai";
import { unzipSync } from "fflate";
import sharp from "sharp";
import type { Manifest, PieceAnswer } from "../../core/api";
import type { Piece } from "../../core/piece";
import { findings } from "../support/axe";
import { choose, painted, saved } from "../support/browser";
import { Stage } from "../support/stage";

const OUTLINE = `# Boats at rest

date: 14 March to 30 August

![A fishing boat](harbour-boats)

# Why they rest

Low water twice a day. Nobody hurries.

# What to look for

- The mast
- The ropes

# Come and see them

call-to-action: Book a quiet hour
`;

describe("a strip of slides", () => {
  const stage = new Stage();
  const stored = async () =>
    (await stage.program.ask<PieceAnswer>("/api/pieces/opening-announcement")).piece;

  it("is made of an outline, put in order, given a handle once for all, and delivered in order", async () => {
    const page = await stage.openPiece("opening-announcement", "message");
    const strip = page.getByRole("region", { name: "Slides" });
    const slide = (number: number) =>
      strip.getByRole("button", { name: `Slide ${number}`, exact: true });
    await page.getByRole("button", { name: "Go on over several slides" }).click();
    await slide(2).waitFor();
    await strip.getByRole("button", { name: "Outline" }).click();
    const outline = page.getByRole("textbox", { name: "Outline" });
    await outline.fill(OUTLINE);
    await page.getByRole("group", { name: "4 slides" }).waitFor();
    await page.getByRole("button", { name: "Done" }).click();
    await saved(page);
    expect((await stored()).slides!.map(({ message }) => message.headline)).to.deep.equal([
      { text: "Why they rest" },
      { text: "What to look for" },
      { text: "Come and see them" },
    ]);

    // A slide is worked on as a piece is.
    await slide(2).click();
    await page.getByRole("textbox", { name: "Headline" }).fill("Why do they rest?");
    await saved(page);
    expect((await stored()).slides![0]!.message.headline).to.deep.equal({
      text: "Why do they rest?",
    });
    expect((await stored()).message.headline).to.deep.equal({ text: "Boats at rest" });

    await slide(3).press("Alt+ArrowLeft");
    await saved(page);
    const order = (await stored()).slides!.map(({ message }) => message.headline);
    expect(order[0]).to.deep.equal({ text: "What to look for" });

    const words = page.getByRole("textbox", { name: "Words of the handle" });
    await words.fill("@quillmere_museum");
    await words.press("Enter");
    await saved(page);
    const { running } = await stored();
    expect(running!.find(({ kind }) => kind === "handle")!.text).to.equal("@quillmere_museum");
    await choose(page, "How the page mark counts", "A dot for each slide");
    await saved(page);
    // The face has the handle beside it.
    const shown = (name: string) => page.getByRole("checkbox", { name, exact: true });
    await shown("Profile picture and name").check();
    await saved(page);
    expect(await shown("Handle").isChecked()).to.equal(false);
    const kinds = (await stored()).running!.map(({ kind }) => kind);
    const mark = (await stored()).running!.find(({ kind }) => kind === "page-mark");
    expect(mark!.form).to.equal("dots");
    expect(kinds).to.include("portrait").and.to.not.include("handle");
    await painted(page);
    expect(await findings(page)).to.deep.equal([]);

    await strip.getByRole("button", { name: "On a phone" }).click();
    const phone = page.getByRole("dialog", { name: "On a phone" });
    await phone.getByRole("button", { name: "Slide 3" }).click();
    await phone.locator("li.now").filter({ hasText: "Why do they rest?" }).waitFor();
    // A mouse swipes as a finger does, a slide at a time.
    const { x, y } = (await phone.getByRole("group", { name: /^Swipe/ }).boundingBox())!;
    await page.mouse.move(x + 300, y + 200);
    await page.mouse.down();
    await page.mouse.move(x + 60, y + 210, { steps: 6 });
    await page.mouse.up();
    await phone.locator("li.now").filter({ hasText: "Come and see them" }).waitFor();
    await phone.getByRole("button", { name: "Close" }).click();

    const { request } = stage.context;
    const at = `${stage.program.url}/api/pieces/opening-announcement/slides`;
    const long = await sharp(await (await request.get(`${at}?format=png`)).body()).metadata();
    expect([long.width, long.height]).to.deep.equal([4 * 1080, 1350]);
    const pdf = (await (await request.get(`${at}?format=pdf`)).body()).toString("latin1");
    expect(pdf.match(/\/Type\s*\/Page\b/g)).to.have.lengthOf(4);

    await page.getByRole("link", { name: "Deliver" }).click();
    await page.getByRole("button", { name: "Choose none" }).click();
    await page.getByRole("checkbox", { name: /^Photo feed, tall/ }).check();
    await page.getByRole("checkbox", { name: /^Microblog/ }).check();
    await page.getByRole("button", { name: "Make a zip of 5 files" }).click();
    const link = page.getByRole("link", { name: "Download" }).first();
    await link.waitFor({ timeout: 60_000 });
    const [download] = await Promise.all([page.waitForEvent("download"), link.click()]);
    const entries = unzipSync(new Uint8Array(await readFile(await download.path())));
    const manifest = JSON.parse(new TextDecoder().decode(entries["manifest.json"])) as Manifest;
    const tall = manifest.files.filter(({ placement }) => placement === "photo-feed-tall");
    expect(tall.map(({ slide: number }) => number)).to.deep.equal([1, 2, 3, 4]);
    expect(tall.map(({ file }) => file)).to.deep.equal(tall.map(({ file }) => file).sort());
    expect(tall.map(({ alt }) => alt.split(".")[0])).to.deep.equal([
      "Boats at rest",
      "What to look for",
      "Why do they rest?",
      "Come and see them",
    ]);
    for (const { file } of tall) {
      expect(file).to.match(/_0[1-4]\.png$/);
      const { width, height } = await sharp(entries[file]!).metadata();
      expect([width, height]).to.deep.equal([1080, 1350]);
    }
    const once = manifest.files.filter(({ placement }) => placement === "microblog-wide");
    expect(once.map(({ slide: number }) => number)).to.deep.equal([undefined]);
  });

  it("varies on any of its slides, and is chosen among with all of them in sight", async () => {
    const page = await stage.open("/pieces/along-the-quay/batch");
    await page
      .getByRole("textbox", { name: "Paste a table" })
      .fill("headline\tSlide 2 headline\nBoats\tThe tide\nNets\tThe mending\n");
    await page.getByRole("button", { name: "Use this table" }).click();
    await page.getByText(/^2 variations on 3 sizes, all slides: 30 files$/).waitFor();
    await page.getByRole("button", { name: "Make batch" }).click();
    await page.getByText("30 of 30 files").waitFor({ timeout: 60_000 });
    await page.getByRole("link", { name: "Choose among them" }).click();
    const others = page.getByRole("group", { name: "The other slides" });
    await others.getByRole("link").first().waitFor();
    expect(await others.getByRole("link").count()).to.equal(4);
    await page.getByText("Slide 2 headline").waitFor();
    await page.getByText("The tide").first().waitFor();
    expect(await findings(page)).to.deep.equal([]);
  });

  it("has something hung over a fold by hand, words written across, and taken in again", async () => {
    const page = await stage.openPiece("look-for-ten-minutes");
    const piece = async () =>
      (await stage.program.ask<PieceAnswer>("/api/pieces/look-for-ten-minutes")).piece;
    const becomes = async (is: (now: Piece) => boolean): Promise<void> => {
      while (!is(await piece())) await page.waitForTimeout(50);
    };
    const drawn = (await piece()).across!.length;
    await page.getByRole("button", { name: /^Photo feed, tall, \d/ }).press("Enter");
    await page
      .getByRole("region", { name: "Everything on this size" })
      .getByRole("button", { name: "Kicker", exact: true })
      .click();
    await page.getByRole("button", { name: "Hang over the fold" }).click();
    await becomes(({ across }) => across!.length > drawn);
    const hung = await piece();
    expect(hung.across!.at(-1)).to.include({ kind: "text", role: "kicker", text: "Ten minutes" });
    expect(hung.message).to.not.have.property("kicker");

    await page.getByRole("link", { name: /^Message/ }).click();
    await page.getByRole("button", { name: "Words across slides" }).click();
    const words = page.getByRole("textbox", { name: "Words across the folds", exact: true }).nth(1);
    await words.fill("Look, and look again");
    await words.press("Tab");
    await becomes(({ across }) => across!.at(-1)!.text === "Look, and look again");
    await painted(page);
    expect(await findings(page)).to.deep.equal([]);
    await page.getByRole("button", { name: "Onto one slide" }).last().click();
    await becomes(({ across }) => across!.length === drawn + 1);
    const [second] = (await piece()).slides!;
    expect(Object.values(second!.message)).to.deep.include({ text: "Look, and look again" });
  });

  it("begins as a whole set with an outline of one's own, takes another, and is told in order", async () => {
    const page = await stage.open("/templates");
    await page.getByRole("textbox", { name: "What should it say?" }).fill(OUTLINE);
    // What is written as an outline is a carousel, without being asked.
    await page.getByRole("radio", { name: "Carousel" }).isChecked();
    await page.getByText("4 slides. A line of").waitFor();
    const sets = page.getByRole("button", { name: /^Begin with/ });
    await sets.first().waitFor();
    expect(await sets.count()).to.be.at.least(10);
    expect(await findings(page)).to.deep.equal([]);
    await page.getByRole("button", { name: "Begin with Steps" }).click();
    await page.waitForURL(/\/pieces\/.+\/message$/);
    const id = /pieces\/([^/]+)\//.exec(page.url())![1]!;
    const begun = async () => (await stage.program.ask<PieceAnswer>(`/api/pieces/${id}`)).piece;
    const before = await begun();
    expect(before.title).to.equal("Boats at rest");
    expect(before.slides).to.have.lengthOf(3);
    expect(before.slides!.at(-1)!.message).to.deep.equal({
      headline: { text: "Come and see them" },
      "call-to-action": { text: "Book a quiet hour" },
    });

    const strip = page.getByRole("region", { name: "Slides" });
    const telling = strip.getByRole("list", { name: "Order of the telling" });
    const stages = () => telling.getByRole("listitem").allInnerTexts();
    await telling.waitFor();
    expect(await stages()).to.deep.equal(["Attention", "Interest", "Action"]);
    await strip.getByText("Missing: no proof").waitFor();
    await strip.getByRole("button", { name: "Slide 3", exact: true }).click();
    await choose(page, "What this slide does", "proof");
    await strip.getByText("Missing: no proof").waitFor({ state: "detached" });
    expect(await stages()).to.deep.equal(["Attention", "Interest", "Desire", "Action"]);

    await strip.getByRole("button", { name: "Other sets" }).click();
    await page.getByRole("button", { name: "Take Countdown" }).click();
    await saved(page);
    await painted(page);
    const after = await begun();
    expect(after.slides!.map(({ message }) => message)).to.deep.equal(
      before.slides!.map(({ message }) => message),
    );
    expect(after.slides![1]).to.deep.include({ role: "proof" });
    const shown = JSON.stringify(after.slides!.map(({ arrangement }) => arrangement));
    expect(shown).to.include("running-countdown");

    // What is found on other slides is said as well, and one goes there with a press.
    await page.getByRole("link", { name: /^Preflight/ }).click();
    const others = page.getByRole("region", { name: "Other slides" });
    await others.getByRole("heading", { name: "Slide 4" }).waitFor();
    await page
      .getByRole("status")
      .filter({ hasText: /must fix, \d+ to look at/ })
      .waitFor();
    expect(await others.getByRole("region").count()).to.equal(3);
    // The number beside the step is that of all slides.
    const said = (await page.getByText(/must fix, \d+ to look at/).innerText()).match(/\d+/g)!;
    const count = String(Number(said[0]) + Number(said[1]));
    const beside = count === "0" ? /^Preflight$/ : new RegExp(`^Preflight ${count}\\b`);
    await page.getByRole("link", { name: beside }).waitFor();

    // One looks nearer with Ctrl and the wheel, and that is kept.
    const first = strip.getByRole("button", { name: "Slide 1", exact: true });
    const wide = (await first.boundingBox())!.width;
    await first.hover();
    await page.keyboard.down("Control");
    await page.mouse.wheel(0, -240);
    await page.keyboard.up("Control");
    await page.waitForFunction(
      (before) => document.querySelector(".strip li button")!.clientWidth > before,
      wide,
    );
    expect(await findings(page)).to.deep.equal([]);
  });
});
