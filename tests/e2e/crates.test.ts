import { expect } from "chai";
import type { CrateAnswer, PieceAnswer } from "../../core/api";
import { setting } from "../../core/edit";
import { choose, painted } from "../support/browser";
import { Stage } from "../support/stage";

describe("the crates", () => {
  const stage = new Stage();

  it("asks whose brand it is as long as only the demo's are there, unless one looks round first", async () => {
    const page = await stage.open("/");
    const steps = page.getByRole("region", { name: "First steps" });
    await steps.getByText("Whose brand is it?").waitFor();
    await steps.getByRole("link", { name: "Make your brand kit" }).waitFor();
    await steps.getByRole("button", { name: "Look round" }).click();
    await steps.waitFor({ state: "hidden" });
    await page.reload();
    await page.getByRole("region", { name: "Autumn lessons" }).waitFor();
    expect(await steps.count()).to.equal(0);
  });

  it("exports a crate and imports it as a new one; a file that is no crate is refused", async () => {
    const page = await stage.open("/");
    const shelf = page.getByRole("region", { name: "Autumn lessons" });
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      shelf.getByRole("link", { name: "Export" }).click(),
    ]);
    await page.getByLabel("Import a crate").setInputFiles(await download.path());
    await page.getByText("Imported 1 crate, 1 piece").waitFor();
    await page.getByRole("heading", { name: "Autumn lessons" }).nth(1).waitFor();
    const wrong = { name: "a.zip", mimeType: "application/zip", buffer: Buffer.from("no") };
    await page.getByLabel("Import a crate").setInputFiles(wrong);
    await page.getByText("a.zip cannot be opened as a zip").waitFor();
  });

  it("starts a crate for a brand, and in it a piece from a template", async () => {
    const page = await stage.open("/");
    await page.getByRole("button", { name: "New crate" }).click();
    await page.getByLabel("What is the campaign called?").click();
    await page.keyboard.type("Winter term");
    await choose(page, "For which brand?", "Saltlight Swim Club");
    await page.getByRole("button", { name: "Create crate" }).click();
    const shelf = page.getByRole("region", { name: "Winter term" });
    // It comes into sight, wherever it stands among the others.
    await shelf.getByText("Saltlight Swim Club").waitFor();
    await shelf.getByRole("link", { name: "New piece" }).click();
    await page.getByRole("button", { name: "Begin with Big words" }).click();
    await page.waitForURL(/\/message$/);
    await page.getByRole("link", { name: "Winter term" }).waitFor();
  });

  it("does something with several pieces at once, chosen with Shift as well", async () => {
    const page = await stage.open("/");
    const shelf = page.getByRole("region", { name: "Boats at Rest", exact: true });
    // Crates that are far below are made when one comes near.
    await page.locator("#boats-at-rest").scrollIntoViewIfNeeded();
    await shelf.getByRole("checkbox", { name: "Select Opening announcement" }).click();
    await shelf
      .getByRole("checkbox", { name: "Select Family workshop" })
      .click({ modifiers: ["Shift"] });
    const bar = page.getByRole("region", { name: "Chosen pieces" });
    await bar.getByText("3 pieces selected").waitFor();
    await shelf.getByRole("checkbox", { name: "Select Members’ late opening" }).focus();
    await page.keyboard.press("Space");
    await bar.getByText("2 pieces selected").waitFor();
    await bar.getByRole("button", { name: "Move to" }).click();
    await page.locator(".n-dropdown-option", { hasText: "Autumn lessons" }).first().click();
    await page.getByText("2 pieces moved to “Autumn lessons”.").waitFor();
    await bar.waitFor({ state: "detached" });
    const { pieces } = await stage.program.ask<CrateAnswer>("/api/crates/autumn-lessons");
    expect(pieces.map(({ title }) => title)).to.include.members([
      "Opening announcement",
      "Family workshop",
    ]);
  });

  it("finds pieces by typing, and starts a new one from another", async () => {
    const page = await stage.open("/");
    await page.getByRole("heading", { name: "Boats at Rest" }).waitFor();
    await page.getByLabel("Find a crate or piece").fill("workshop");
    expect(await page.locator("article").count()).to.equal(1);
    await page.getByRole("button", { name: "Start a new piece from Family workshop" }).click();
    await page.waitForURL(/\/message$/);
    expect(await page.getByLabel("Name of the piece").inputValue()).to.equal("Family workshop 2");
  });

  it("have a page with all that was made of their pieces, and an archive over all of them", async () => {
    const page = await stage.open("/");
    // The crate that was imported before has the same name.
    const shelf = page.locator("#autumn-lessons");
    await shelf.scrollIntoViewIfNeeded();
    await shelf.getByRole("checkbox", { name: "Select Float before lunch" }).click();
    await page.getByRole("button", { name: "Deliver", exact: true }).click();
    await page.waitForURL(/\/crates\/autumn-lessons$/);
    const made = page.getByRole("region", { name: "Deliveries" });
    await made.getByRole("link", { name: "Download" }).waitFor();
    await made.getByText(/4 files/).waitFor();
    await page.getByRole("button", { name: "Archive Float before lunch" }).click();
    await page.getByText("1 piece archived").waitFor();
    await page.getByRole("link", { name: "All crates" }).click();
    await page.getByRole("link", { name: /^Archive/ }).click();
    await page.getByLabel("Find an archived piece").fill("float");
    const archived = page.getByRole("region", { name: "Autumn lessons" });
    await archived.getByRole("button", { name: "Restore" }).click();
    await page.getByText("“Float before lunch” is back in its crate.").waitFor();
    await page.getByText("Nothing is archived under that name.").waitFor();
  });

  it("lay chosen pieces out as a set, which is laid out again when what they say has changed", async () => {
    const { program } = stage;
    const said = ["Salt and slow wind", "Low tide, no rush", "Nachts im Museum"];
    for (const title of said) {
      const wanted = { from: "opening-announcement", title };
      const { piece } = await program.ask<PieceAnswer>("/api/crates/autumn-lessons/pieces", wanted);
      const edit = setting(piece, ["message", "headline", "text"], title);
      await program.ask(`/api/pieces/${piece.id}/edits`, { edit });
    }
    const page = await stage.open("/crates/autumn-lessons");
    for (const title of said) await page.getByRole("checkbox", { name: `Select ${title}` }).click();
    await page.getByRole("button", { name: "Lay out as a set" }).click();
    await page.locator(".n-dropdown-option", { hasText: "Like “Salt and slow wind”" }).click();
    await page.getByText("3 pieces laid out as a set.").waitFor();
    expect(await page.getByText("in a set of 3").count()).to.equal(3);
    const headlines: string[] = [];
    for (const title of said) {
      await page.getByRole("link", { name: `Open ${title}` }).click();
      await painted(page);
      const ledger = page.getByRole("complementary", { name: "Ledger" });
      headlines.push((await ledger.getByText(/^\d+ px, \d lines?$/).textContent())!);
      if (headlines.length < said.length) await page.goBack();
    }
    const [size] = headlines[0]!.split(" px");
    for (const other of headlines) expect(other).to.match(new RegExp(`^${size} px`));

    const set = page.getByRole("region", { name: "Set" });
    await set.getByRole("link", { name: "Low tide, no rush" }).waitFor();
    const changed = set.getByText("What they say has changed since they were laid out.");
    expect(await changed.count()).to.equal(0);
    await page.getByRole("textbox", { name: "Headline" }).fill("Nachts im Museum und am Wasser");
    await changed.waitFor();
    await set.getByRole("button", { name: "Lay the set out like this one" }).click();
    await page.getByText("3 pieces laid out as a set, like this one.").waitFor();
    await changed.waitFor({ state: "detached" });
    await set.getByRole("button", { name: "Lay it out by itself" }).click();
    await set.waitFor({ state: "detached" });
    await page.getByRole("button", { name: "Undo" }).click();
    await set.getByRole("link", { name: "Low tide, no rush" }).waitFor();
  });
});
