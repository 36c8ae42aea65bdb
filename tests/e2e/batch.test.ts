import { mkdtemp, readFile, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";
import { unzipSync } from "fflate";
import sharp from "sharp";
import type { BatchAnswer } from "../../core/api";
import { shippedTemplates } from "../../core/shipped";
import { findings } from "../support/axe";
import { choose } from "../support/browser";
import { until } from "../support/server";
import { Stage } from "../support/stage";

describe("a batch in the interface", () => {
  const stage = new Stage();

  it("makes a batch of 6 rows × 3 sizes and delivers its 18 files", async () => {
    const page = await stage.openPiece("opening-announcement", "batch");
    const rows = ["Boats", "Light", "Still water", "The quiet fleet", "Low tide", "Tied up"];
    await page
      .getByLabel("Paste a table")
      .fill(`headline\tdate\n${rows.map((row) => `${row}\tMay`).join("\n")}`);
    await page.getByRole("button", { name: "Use this table" }).click();
    await page.getByText("6 variations × 3 sizes = 18 files").waitFor();
    await page.getByRole("button", { name: "Make batch" }).click();
    await page.getByText("18 of 18 files").waitFor({ timeout: 60_000 });
    // Laid out as a set; none of the six has words that do not fit there.
    const { batches } = await stage.program.ask<{ batches: BatchAnswer[] }>(
      "/api/pieces/opening-announcement/batches",
    );
    expect(batches[0]).to.deep.include({ made: 18, failed: 0, apart: 0 });
    expect(await page.locator(".sheet figure img").count()).to.equal(6);

    await page.getByRole("link", { name: "Deliver" }).click();
    await page.getByRole("button", { name: "Choose none" }).click();
    await page.getByLabel(/6 variations, 18 files/).check();
    await page.getByRole("button", { name: "Make a zip of 18 files" }).click();
    const link = page.getByRole("link", { name: "Download" }).first();
    await link.waitFor({ timeout: 60_000 });
    const [download] = await Promise.all([page.waitForEvent("download"), link.click()]);
    const entries = unzipSync(new Uint8Array(await readFile(await download.path())));
    const names = Object.keys(entries).filter((name) => !name.startsWith("manifest."));
    expect(names).to.have.lengthOf(18);
    for (const name of names) {
      const { width, height, format } = await sharp(entries[name]!).metadata();
      expect(name).to.match(new RegExp(`_v[1-6]_${width}x${height}\\.png$`));
      expect(format).to.equal("png");
    }
  });

  it("takes 10 000 rows that are pasted as a table at once, sorts them, and says how many files they would be", async () => {
    const page = await stage.openPiece("float-before-lunch", "batch");
    await page.getByLabel("Paste a table").focus();
    const rows = Array.from(
      { length: 10_000 },
      (_, at) => `Float ${at}\tGo ${(at * 7919) % 10_000}`,
    );
    await page.evaluate(
      (text) => {
        const clipboardData = new DataTransfer();
        clipboardData.setData("text/plain", text);
        const about = { clipboardData, bubbles: true, cancelable: true };
        document.activeElement!.dispatchEvent(new ClipboardEvent("paste", about));
      },
      `headline\tcta\n${rows.join("\n")}`,
    );
    await page.getByText("10,000 rows").waitFor();
    await page.getByText("10,000 variations × 3 sizes = 30,000 files").waitFor();
    await page.getByRole("columnheader", { name: "cta" }).click();
    await page.getByRole("button", { name: "Sort by cta" }).click();
    await page.getByRole("gridcell", { name: "Go 0", exact: true }).waitFor();
    await page.getByRole("gridcell", { name: "Go 2", exact: true }).waitFor();
  });

  it("says what is wrong with a table, uses the rest, and cancels what takes too long", async () => {
    const page = await stage.openPiece("float-before-lunch", "batch");
    await page.getByLabel("Paste a table").fill("colour\nred");
    await page.getByRole("button", { name: "Use this table" }).click();
    await page.getByRole("alert").filter({ hasText: "None of the columns" }).waitFor();
    await page.getByRole("button", { name: "Another table" }).click();
    const rows = Array.from({ length: 90 }, (_, index) => `Float at ${index},x`).join("\n");
    await page.getByLabel("Open a table").setInputFiles({
      name: "rows.csv",
      mimeType: "text/csv",
      buffer: Buffer.from(`Titel,colour\n${rows}\nonly one`),
    });
    await page.getByText("Row 91 has 1 cell ").waitFor();
    // Told by its cells, and corrected: back and forth.
    const matches = page.getByRole("region", { name: "What columns are for" });
    await matches.getByText("Headline", { exact: true }).waitFor();
    await choose(page, "What “Titel” is for", "Nothing");
    await page.getByRole("alert").filter({ hasText: "None of the columns" }).waitFor();
    expect(await findings(page)).to.deep.equal([]);
    await choose(page, "What “Titel” is for", "Headline");
    await matches.getByText("Titel", { exact: true }).waitFor({ state: "hidden" });
    await page.getByText("Every mix of the columns").click();
    await page.getByText("91 variations × 3 sizes = 273 files").waitFor();
    await page.getByRole("button", { name: "Make batch" }).click();
    await page.getByRole("progressbar").waitFor();
    await page.getByRole("button", { name: "Pause" }).click();
    await page.getByText("91 variations, paused").waitFor();
    await page.getByRole("button", { name: "Go on", exact: true }).click();
    await page.getByText("91 variations, being made").waitFor();
    await page.getByRole("button", { name: "Cancel" }).click();
    await page.getByText("91 variations, cancelled").waitFor();
    await page.reload();
    await page.getByText("91 variations, cancelled").waitFor();
  });

  it("varies by the pictures of a folder, which may hold other files, and says what has no room", async () => {
    const folder = await mkdtemp(join(tmpdir(), "zest-folder-"));
    for (const [name, background] of [
      ["dawn", "#e0a060"],
      ["dusk", "#304060"],
    ] as const)
      await sharp({ create: { width: 900, height: 900, channels: 3, background } })
        .jpeg()
        .toFile(join(folder, `${name}.jpg`));
    await writeFile(join(folder, "notes.txt"), "not a picture");
    const page = await stage.open("/pieces/opening-announcement/batch");
    const setup = page.getByRole("region", { name: "How to combine" });
    await setup.getByLabel("Add a folder").setInputFiles(folder);
    await setup.getByText("2 chosen").waitFor();
    await setup.getByText("2 variations × 3 sizes = 6 files").waitFor();
    await setup.getByRole("button", { name: "dusk.jpg", pressed: true }).waitFor();
    await rm(folder, { recursive: true });
    // A row says which of its words have no room, and where.
    const long = "Harbour photographs that nobody has seen for a hundred years. ".repeat(6);
    await page.getByLabel("Paste a table").fill(`support\n${long}`);
    await page.getByRole("button", { name: "Use this table" }).click();
    await setup.getByLabel("Microblog post, wide", { exact: true }).check();
    await page.getByText("Support: Microblog post, wide").waitFor();
  });

  it("varies by its looks: typefaces, arrangements that are picked by sight, and rows with sizes of their own", async () => {
    const page = await stage.open("/pieces/opening-announcement/batch");
    const setup = page.getByRole("region", { name: "How to combine" });
    await setup.getByRole("checkbox", { name: "Headline in capitals" }).check();
    await setup.getByRole("checkbox", { name: "The kit’s typefaces" }).check();
    await setup.getByRole("button", { name: "Choose arrangements" }).click();
    const dialog = page.getByRole("dialog", { name: "Arrangements that vary" });
    for (const { name } of shippedTemplates.slice(0, 2))
      await dialog.getByRole("button", { name, exact: true }).click();
    await dialog.getByText("2 chosen").waitFor();
    expect(await findings(page)).to.deep.equal([]);
    await dialog.getByRole("button", { name: "Done" }).click();
    await setup.getByText("Every mix of the columns").click();
    await setup.getByText("4 variations × 3 sizes = 12 files").waitFor();
    await setup.getByText("Some in step, the rest mixed").click();
    await page
      .getByLabel("Paste a table")
      .fill("headline\tlanguage\tsizes\nBoats\t\tStory\nBoote\tGerman\t");
    await page.getByRole("button", { name: "Use this table" }).click();
    await page.getByRole("combobox", { name: "Columns that go in step" }).click();
    for (const name of ["Headline", "Language", "Sizes"])
      await page.getByRole("option", { name, exact: true }).click();
    await page.keyboard.press("Escape");
    await setup.getByText("8 variations on up to 3 sizes: 16 files").waitFor();
    await page.getByRole("button", { name: "Make batch" }).click();
    await page.getByText("16 of 16 files").waitFor({ timeout: 60_000 });
  });

  it("has its table worked on in place, by cells and by blocks", async () => {
    await stage.context.grantPermissions(["clipboard-read", "clipboard-write"]);
    const page = await stage.open("/pieces/opening-announcement/batch");
    await page.getByRole("button", { name: "Write rows here" }).click();
    const rows = page.locator(".tabulator-row");
    const cell = (row: number, column: number) =>
      rows
        .nth(row)
        .locator(".tabulator-cell")
        .nth(column + 1);
    const column = async (at: number): Promise<string[]> =>
      (await rows.locator(`.tabulator-cell:nth-child(${at + 2})`).allTextContents()).map((text) =>
        text.trim(),
      );
    // Keys and the clipboard are another process's: what they do is there a moment later.
    const says = (at: number, cells: readonly string[]) =>
      until(
        () => column(at),
        (now) => now.join("\n") === cells.join("\n"),
      );
    await cell(0, 1).waitFor();
    await says(1, ["Boats at rest"]);
    await page.evaluate(() => navigator.clipboard.writeText("Still water\nHarbour light\nTide"));
    await cell(0, 1).click();
    await page.keyboard.press("Control+v");
    await page.getByText("3 variations × 3 sizes = 9 files").waitFor();
    await says(1, ["Still water", "Harbour light", "Tide"]);

    // What is typed takes the place of what was there; Enter keeps it.
    await cell(2, 1).click();
    await page.keyboard.type("Low tide at six");
    await page.keyboard.press("Enter");
    await page.getByText("Row 3, by itself").waitFor();
    await says(1, ["Still water", "Harbour light", "Low tide at six"]);

    const kicker = (await cell(0, 0).textContent())!;
    await cell(0, 0).click();
    for (let down = 0; down < 2; down++) await page.keyboard.press("Shift+ArrowDown");
    await page.keyboard.press("Control+d");
    await cell(2, 0).filter({ hasText: kicker }).waitFor();
    await page.keyboard.press("Control+c");
    await page.waitForFunction(
      async (wanted) => (await navigator.clipboard.readText()) === wanted,
      Array(3).fill(kicker).join("\n"),
    );
    await page.keyboard.press("Delete");
    await page.keyboard.press("Control+z");
    await page.keyboard.press("Control+z");
    await says(0, [kicker, "", ""]);
    // The piece itself was not gone back in.
    expect(await page.getByRole("button", { name: "Undo", exact: true }).isDisabled()).to.equal(
      true,
    );

    await page.evaluate(() => navigator.clipboard.writeText("2026-12-05\nsoon\n2026-12-06"));
    await cell(0, 3).click();
    await page.keyboard.press("Control+v");
    await says(3, ["2026-12-05", "soon", "2026-12-06"]);
    await page.getByRole("button", { name: "Format date …" }).click();
    await choose(page, "In the manner of", "German");
    await page.getByRole("button", { name: "Write them so" }).click();
    await page.getByText("Left as written in “date”: 1 cell.").waitFor();
    await says(3, ["Samstag, 5. Dezember", "soon", "Sonntag, 6. Dezember"]);

    await cell(1, 1).click();
    await page.getByRole("button", { name: "Delete 1 row" }).click();
    await page.getByText("2 variations × 3 sizes = 6 files").waitFor();
    await page.getByRole("button", { name: /^Sort by headline/ }).click();
    await says(1, ["Low tide at six", "Still water"]);
    expect(await findings(page)).to.deep.equal([]);
  });
});
