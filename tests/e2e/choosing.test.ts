import { readFile } from "node:fs/promises";
import { expect } from "chai";
import { unzipSync } from "fflate";
import type { Page } from "playwright-core";
import type { BatchAnswer, ContactSheet } from "../../core/api";
import { findings } from "../support/axe";
import { choose, saved } from "../support/browser";
import { Stage } from "../support/stage";

describe("choosing among variations", () => {
  const stage = new Stage();
  const headlines = [
    "Boats at rest",
    "The quiet fleet",
    "Low tide, no hurry",
    "Tied up for the day",
  ];

  const batch = async (): Promise<BatchAnswer> => {
    const path = "/api/pieces/opening-announcement/batches";
    const { batches } = await stage.program.ask<{ batches: BatchAnswer[] }>(path);
    return batches[0]!;
  };
  async function sheet(): Promise<Page> {
    const page = await stage.open(`/batches/${(await batch()).id}`);
    await page.locator(".tile img").first().waitFor();
    return page;
  }

  it("goes from a pasted table to every mix, a sample of it, and a contact sheet", async () => {
    // Nothing on the page is waited for but what is used.
    const page = await stage.open("/pieces/opening-announcement/batch");
    await page.getByLabel("Paste a table").fill(`headline\n${headlines.join("\n")}`);
    await page.getByRole("button", { name: "Use this table" }).click();
    const setup = page.getByRole("region", { name: "How to combine" });
    await setup.getByText("Every mix of the columns").click();
    for (const spread of ["Tide on Paper", "Tide on Sun with Paper"])
      await setup.getByRole("button", { name: spread, exact: true }).click();
    for (const picture of ["harbour-boats.jpg", "allium.jpg", "moose-at-dusk.jpg"])
      await setup.getByRole("button", { name: picture }).click();
    for (const size of ["Photo feed, square", "Story"])
      await setup.getByLabel(size, { exact: true }).uncheck();
    await setup.getByText("24 variations × 1 size = 24 files").waitFor();
    await setup.getByText(/about \d+ seconds?, [\d.]+ [kM]B/).waitFor();
    // A picture that never stands on one of the spreads: four headlines fewer.
    const values = setup.getByRole("combobox", { name: "Values that never stand together" });
    await values.click();
    for (const value of ["allium.jpg", "Tide on Paper"])
      await page.getByRole("option", { name: value, exact: true }).click();
    await page.keyboard.press("Escape");
    await setup.getByRole("button", { name: "Leave out" }).click();
    await setup.getByText("20 variations × 1 size = 20 files").waitFor();
    const left = setup.getByRole("listitem").filter({ hasText: "allium.jpg with Tide on Paper" });
    await left.getByRole("button", { name: "close" }).click();
    await setup.getByText("24 variations × 1 size = 24 files").waitFor();
    // Four headlines meet three pictures: no fewer than twelve.
    await setup.getByText("Only a sample in which every two values meet").click();
    await setup.getByText("12 variations × 1 size = 12 files").waitFor();
    expect(await findings(page)).to.deep.equal([]);
    await setup.getByRole("button", { name: "Make batch" }).click();
    await page.getByText("12 of 12 files").waitFor({ timeout: 60_000 });
    await page.getByRole("link", { name: "Choose among them" }).click();
    await page.getByRole("heading", { name: "Opening announcement: 12 variations" }).waitFor();
  });

  it("ranks them by what was measured, keeps three by keys, and holds two side by side", async () => {
    const page = await sheet();
    await page.getByText("still to be measured").waitFor({ state: "hidden" });
    await choose(page, "Order", "Contrast");
    await page.getByText(/is first by contrast: [\d.]+ : 1/).waitFor();
    const first = page.locator(".tile").first();
    await first.click();
    expect(await first.locator("img").evaluate((image: HTMLImageElement) => image.currentSrc))
      .to //
      .match(/&width=\d+$/);
    for (const key of ["k", "k", "m", "k", "d"]) await page.keyboard.press(key);
    await page.getByText("Kept 3", { exact: true }).waitFor();
    await page.getByText("Dropped 1", { exact: true }).waitFor();
    await page.keyboard.press("h");
    await page.getByLabel("Where it is likely to be looked at first").waitFor();
    await choose(page, "Groups", "Picture");
    await page.getByRole("region", { name: "moose-at-dusk.jpg" }).waitFor();
    // The first of the page has one after it, wherever the ranking has put them.
    await page.locator(".tile").first().click();
    await page.keyboard.press("c");
    await page.keyboard.press("ArrowRight");
    await page.keyboard.press("c");
    await page.getByRole("button", { name: "Compare 2" }).click();
    const beside = page.getByRole("dialog", { name: "2 side by side" });
    await beside.getByRole("rowheader", { name: "Headline", exact: true }).waitFor();
    expect(await beside.locator("img").count()).to.equal(2);
    await beside.getByRole("switch", { name: "Only what differs" }).click();
    // The ground that both have is veiled; the headline that each has its own way is seen.
    await page.waitForFunction(() => {
      const veils = [...document.querySelectorAll<HTMLCanvasElement>("canvas.veil")];
      return (
        veils.length === 2 &&
        veils.every((veil) => {
          const { data } = veil.getContext("2d")!.getImageData(0, 0, veil.width, veil.height);
          const veiled = data.filter((value, at) => at % 4 === 3 && value > 0).length;
          return veiled > 0.3 * (data.length / 4) && veiled < data.length / 4;
        })
      );
    });
    await beside.getByRole("button", { name: "Close" }).click();
    await page.getByLabel("Note", { exact: true }).fill("ask the curator");
    await page.getByLabel("Note", { exact: true }).blur();
    expect(await findings(page)).to.deep.equal([]);
    await page.reload();
    await page.getByText("Kept 3", { exact: true }).waitFor();
    const kept = await stage.program.ask<ContactSheet>(`/api/batches/${(await batch()).id}/sheet`);
    expect(kept.variations.map(({ note }) => note).filter(Boolean)).to.deep.equal([
      "ask the curator",
    ]);
  });

  it("reads a report, says what it shows, and begins the next batch with what did best", async () => {
    const page = await sheet();
    await page.getByText("Results", { exact: true }).click();
    await page.getByLabel("Paste a report").fill("name,clicks\nv01,3");
    await page.getByRole("button", { name: "Read it" }).click();
    await page.getByRole("alert").filter({ hasText: "Nothing can be counted" }).waitFor();
    const rows = Array.from(
      { length: 12 },
      (_, i) => `v${String(i + 1).padStart(2, "0")},9000,${i < 3 ? 400 : 200}`,
    );
    await page.getByLabel("Paste a report").fill(`name,impressions,clicks\n${rows.join("\n")}`);
    await page.getByRole("button", { name: "Read it" }).click();
    await page.getByText("“Boats at rest” did better than all the others").waitFor();
    await page.getByRole("img", { name: /^Headline: Boats at rest 4\.44 %/ }).waitFor();
    expect(await findings(page)).to.deep.equal([]);
    await page.getByRole("button", { name: "Next batch from the best" }).click();
    await page.getByRole("gridcell", { name: "Boats at rest" }).first().waitFor();
    await page.getByText(/^\d+ variations? × 3 sizes/).waitFor();
  });

  it("changes one by hand, makes it again in its place, and then all when the piece has changed", async () => {
    const page = await sheet();
    const first = page.locator(".tile").first();
    await first.click();
    const source = () =>
      first.locator("img").evaluate((image: HTMLImageElement) => image.currentSrc);
    const before = await source();
    await page.getByRole("button", { name: "Change by hand" }).click();
    await page.getByText("Variation v01 of a batch").waitFor();
    await page.getByRole("textbox", { name: "Headline" }).fill("Boats, at long last at rest");
    await saved(page);
    await page.getByRole("link", { name: "To its contact sheet" }).click();
    await page.getByText("1 of 12 files would look different now").waitFor();
    await page.getByRole("button", { name: "Make 1 again" }).click();
    await page.getByText("would look different now").waitFor({ state: "hidden" });
    await page.waitForFunction(
      (was) => document.querySelector<HTMLImageElement>(".tile img")?.currentSrc !== was,
      before,
    );
    await first.click();
    await page.getByText("Boats, at long last at rest").first().waitFor();

    // What is changed of the piece is changed of all of them, where they stand.
    await page.getByRole("link", { name: "Back to the piece" }).click();
    await page.getByText("12 of 12 files").waitFor();
    await page.getByRole("textbox", { name: "Call to action" }).fill("Come aboard");
    await page.getByText("The piece or its brand kit was changed").waitFor();
    await page.getByRole("button", { name: "Make all again" }).click();
    await page.getByText("The piece or its brand kit was changed").waitFor({ state: "hidden" });
    await page.getByText("12 of 12 files").waitFor({ timeout: 60_000 });
    expect((await batch()).outdated).to.equal(0);
  });

  it("delivers what is kept, in folders and by its values", async () => {
    const page = await sheet();
    await page.getByRole("button", { name: "Deliver 3 kept" }).click();
    const dialog = page.getByRole("dialog", { name: "Deliver what is kept" });
    await dialog.getByLabel("Pattern of the names").fill("{variation}_{moon}");
    await dialog.getByRole("alert").filter({ hasText: "{moon}" }).waitFor();
    await dialog.getByLabel("Pattern of the names").fill("{variation}_{headline}");
    await choose(page, "Folders", "By size");
    await dialog.getByRole("button", { name: "Make a zip of 3 files" }).click();
    const link = page.getByRole("link", { name: "Download" }).first();
    await link.waitFor({ timeout: 60_000 });
    const [download] = await Promise.all([page.waitForEvent("download"), link.click()]);
    const names = Object.keys(unzipSync(new Uint8Array(await readFile(await download.path()))));
    expect(names.filter((name) => /^photo-feed-tall\/v\d\d_[a-z-]+\.jpg$/.test(name)))
      .to //
      .have.lengthOf(3);
    expect(names).to.include.members(["manifest.json", "manifest.csv"]);
  });

  it("goes on by itself, with what was decided, after the program was killed half-way", async () => {
    const rows = Array.from({ length: 16 }, (_, at) => [`Headline number ${at}`]);
    const begun = await stage.program.ask<BatchAnswer>("/api/pieces/opening-announcement/batches", {
      table: { columns: ["headline"], rows },
      placements: ["photo-feed-tall"],
      format: "png",
      scale: 2,
    });
    const page = await stage.open(`/batches/${begun.id}`);
    const first = page.locator(".tile").first();
    await first.locator("img").waitFor();
    await first.click();
    const kept = page.waitForResponse((response) => response.url().endsWith("/mark"));
    await page.keyboard.press("k");
    await kept;
    // With many cores it may be whole by now; what follows holds then too.
    await stage.program.end("SIGKILL");
    await stage.program.start();
    // Nobody loads the page again.
    await page
      .getByText(/of 16 files made|still to be measured/)
      .waitFor({ state: "hidden", timeout: 90_000 });
    await choose(page, "Order", "Contrast");
    await page.getByText(/by contrast/i).waitFor();
    await page.getByText("Kept 1", { exact: true }).waitFor();
    const whole = await stage.program.ask<ContactSheet>(`/api/batches/${begun.id}/sheet`);
    expect(whole.batch).to.deep.include({ state: "done", made: 16, failed: 0 });
    expect(whole.variations.filter(({ verdict }) => verdict)).to.have.lengthOf(1);
  });
});
