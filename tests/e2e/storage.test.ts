import { readFile, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { expect } from "chai";
import type { Page } from "playwright-core";
import { findings } from "../support/axe";
import { Stage } from "../support/stage";

describe("what is stored", () => {
  const stage = new Stage();
  let page: Page;

  it("can be deleted on its shelf and brought back from the bin", async () => {
    page = await stage.open("/");
    await page.getByRole("button", { name: "Delete Family workshop" }).click();
    await page.getByText("“Family workshop” is in the bin for 30 days").waitFor();
    await page.getByRole("link", { name: "Open Family workshop" }).waitFor({ state: "detached" });
    await page.getByRole("link", { name: "Storage" }).click();
    const row = page.getByRole("row").filter({ hasText: "Family workshop" });
    await row.getByRole("button", { name: "Restore" }).click();
    await page.getByText("The bin is empty.").waitFor();
    await page.getByRole("link", { name: "Crates" }).click();
    await page.getByRole("link", { name: "Open Family workshop" }).waitFor();
  });

  it("is saved as a backup that can be put back, and says when it takes effect", async () => {
    page = await stage.open("/storage");
    const coming = page.waitForEvent("download");
    await page.getByRole("link", { name: "Download a backup" }).click();
    const backup = await (await coming).path();
    expect((await readFile(backup)).subarray(0, 2).toString()).to.equal("PK");
    const broken = join(stage.program.folder, "broken.zip");
    await writeFile(broken, (await readFile(backup)).subarray(0, 5000));
    const put = page.locator("input[type=file]");
    await put.setInputFiles(broken);
    await page.getByText("cannot be opened as a zip").waitFor();
    await put.setInputFiles(backup);
    const ready = page.getByText("A backup is ready to take the place of what is here");
    await ready.waitFor();
    await page.getByRole("button", { name: "Keep what is here" }).click();
    await ready.waitFor({ state: "detached" });
    await put.setInputFiles(backup);
    await ready.waitFor();
    expect(await findings(page)).to.deep.equal([]);
  });

  it("is there after the backup took its place", async () => {
    await stage.program.end();
    await stage.program.start();
    page = await stage.open("/");
    await page.getByRole("link", { name: "Open Family workshop" }).waitFor();
  });
});
