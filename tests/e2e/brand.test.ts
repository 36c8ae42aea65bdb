import { expect } from "chai";
import { join } from "node:path";
import { editTo } from "../../core/edit";
import type { PieceAnswer } from "../../core/api";
import { findings } from "../support/axe";
import { demoFolder } from "../support/demo";
import { choose, eventually, settled } from "../support/browser";
import { Stage } from "../support/stage";

describe("a brand kit from nothing", () => {
  const stage = new Stage();

  it("takes its colours from a logo and its typefaces by feeling, shows them at work, and is made", async () => {
    const page = await stage.open("/brands");
    await page.getByRole("link", { name: "New brand kit" }).click();
    await page.getByRole("img", { name: "A piece in the new brand" }).waitFor();
    await settled(page);
    const before = await page.locator("canvas").screenshot();
    const logo = join(demoFolder, "saltlight/logos/full-on-light.svg");
    await page.getByLabel("A logo, or a screenshot of the site").setInputFiles(logo);
    await page
      .getByRole("textbox", { name: /^Value of/ })
      .first()
      .waitFor();
    await page.waitForFunction(() =>
      [...document.querySelectorAll<HTMLInputElement>(".value")].some(
        ({ value }) => value === "#0A1F5C",
      ),
    );
    await page.getByLabel("Name of the brand").fill("Bright Water");
    await choose(page, "Feeling of the headlines", "loud");
    await page.getByRole("radiogroup", { name: "Headlines" }).getByText("Anton").click();
    await settled(page);
    expect((await page.locator("canvas").screenshot()).equals(before)).to.equal(false);
    expect(await findings(page)).to.deep.equal([]);
    await page.getByRole("button", { name: "Make the kit" }).click();
    await page.getByRole("heading", { name: "Bright Water" }).waitFor();
    await page.getByText("Headlines: Anton").waitFor();
    // A kit leads on to what it is for.
    await page.getByRole("button", { name: "Start the first piece" }).click();
    await page.waitForURL(/\/crates\/[^/]+\/new$/);
  });

  it("says what is wrong with a colour and offers what was meant; a name is asked for, and nothing is lost", async () => {
    const page = await stage.open("/brands/new");
    await page.getByRole("img", { name: "A piece in the new brand" }).waitFor();
    const value = page.getByRole("textbox", { name: "Value of Ink" });
    await value.fill("#I23A3F");
    await page.getByRole("alert").filter({ hasText: "is not a colour" }).waitFor();
    await page.getByRole("button", { name: "Take #123A3F" }).click();
    await eventually(async () => expect(await value.inputValue()).to.equal("#123A3F"));
    await page.getByRole("button", { name: "Make the kit" }).click();
    await page.getByRole("alert").filter({ hasText: "The brand needs a name" }).waitFor();
    await page.getByLabel("Name of the brand").fill("quillmere museum of everyday pictures");
    await page.getByRole("button", { name: "Make the kit" }).click();
    await page.getByRole("alert").filter({ hasText: "give this one another name" }).waitFor();
    expect(await value.inputValue()).to.equal("#123A3F");
  });

  it("is changed once for every piece, and brought back", async () => {
    let page = await stage.open("/pieces/late-opening/sizes");
    await page.locator(".wall canvas").first().waitFor();
    await settled(page);
    const before = await page.locator(".wall canvas").first().screenshot();
    await page.close();

    page = await stage.open("/brands/quillmere");
    await page.getByRole("button", { name: "Change the kit" }).click();
    await page.getByRole("textbox", { name: "Value of Tide" }).fill("rgb(90, 20, 60)");
    await page.getByText("Tide #123A3F → #5A143C").waitFor();
    expect(await findings(page)).to.deep.equal([]);
    await page.getByRole("button", { name: "Save the kit" }).click();
    await page.getByRole("region", { name: "Versions" }).waitFor();
    await page.goto(`${stage.program.url}/pieces/late-opening/sizes`);
    await page.locator(".wall canvas").first().waitFor();
    await settled(page);
    expect((await page.locator(".wall canvas").first().screenshot()).equals(before)).to.equal(
      false,
    );

    await page.goto(`${stage.program.url}/brands/quillmere`);
    await page.getByRole("button", { name: "Bring back" }).click();
    await page.getByText("Tide #5A143C → #123A3F").waitFor();
    await page.goto(`${stage.program.url}/pieces/late-opening/sizes`);
    await page.locator(".wall canvas").first().waitFor();
    await settled(page);
    expect((await page.locator(".wall canvas").first().screenshot()).equals(before)).to.equal(true);
  });

  it("puts a colour that is not its own right with one click, and back with undo", async () => {
    const { program } = stage;
    const { piece } = await program.ask<PieceAnswer>("/api/pieces/family-workshop");
    const arrangement = piece.arrangement.map((node) =>
      node.role === "headline" ? { ...node, style: { ...node.style, colour: "#F5EDE0" } } : node,
    );
    await program.ask("/api/pieces/family-workshop/edits", {
      edit: editTo(piece, { ...piece, arrangement }),
    });
    const page = await stage.open("/pieces/family-workshop/preflight");
    await page.getByText("The nearest of the brand's is Paper").first().waitFor();
    await page.getByRole("button", { name: "Use Paper" }).first().click();
    await page.getByText("A colour that is not the brand's").first().waitFor({ state: "detached" });
    // At once: the mend may still be on its way to the server.
    await page.locator("body").press("Control+z");
    await page.getByText("A colour that is not the brand's").first().waitFor();
  });

  it("takes colours from a file of another program, and goes out in open formats", async () => {
    const page = await stage.open("/brands/saltlight");
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("link", { name: "Design tokens" }).click(),
    ]);
    expect(download.suggestedFilename()).to.contain("tokens.json");
    await page.getByRole("button", { name: "Change the kit" }).click();
    await page.getByLabel("Read colours from a file").setInputFiles({
      name: "palette.txt",
      mimeType: "text/plain",
      buffer: Buffer.from("10 31 92 Deep\n200 30 90 Berry\nnothing"),
    });
    await page
      .getByText("1 of 2 colours taken from palette.txt. Line 3 is not three numbers")
      .waitFor();
    expect(await page.getByRole("textbox", { name: "Value of Berry" }).inputValue()).to.equal(
      "#C81E5A",
    );
    await page.getByText("Berry #C81E5A added").waitFor();
  });
});
