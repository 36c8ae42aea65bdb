import { AxeBuilder } from "@axe-core/playwright";
import { expect } from "chai";
import { join } from "node:path";
import { demoFolder } from "../support/demo";
import { settled } from "../support/browser";
import { Stage } from "../support/stage";

describe("a brand kit from nothing", () => {
  const stage = new Stage();

  it("takes its colours from a logo and its typefaces by feeling, shows them at work, and is made", async () => {
    const page = await stage.open("/");
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
    await page.getByLabel("Feeling of the headlines").selectOption("loud");
    await page.getByRole("radiogroup", { name: "Headlines" }).getByText("Anton").click();
    await settled(page);
    expect((await page.locator("canvas").screenshot()).equals(before)).to.equal(false);
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations.map(({ id }) => id)).to.deep.equal([]);
    await page.getByRole("button", { name: "Make the kit" }).click();
    await page.getByRole("heading", { name: "Bright Water" }).waitFor();
    await page.getByText("Headlines: Anton").waitFor();
  });

  it("says what is wrong with a colour and offers what was meant; a name is asked for, and nothing is lost", async () => {
    const page = await stage.open("/brands/new");
    await page.getByRole("img", { name: "A piece in the new brand" }).waitFor();
    const value = page.getByRole("textbox", { name: "Value of Ink" });
    await value.fill("#I23A3F");
    await page.getByRole("alert").filter({ hasText: "is not a colour" }).waitFor();
    await page.getByRole("button", { name: "Take #123A3F" }).click();
    expect(await value.inputValue()).to.equal("#123A3F");
    await page.getByRole("button", { name: "Make the kit" }).click();
    await page.getByRole("alert").filter({ hasText: "The brand needs a name" }).waitFor();
    await page.getByLabel("Name of the brand").fill("quillmere museum of everyday pictures");
    await page.getByRole("button", { name: "Make the kit" }).click();
    await page.getByRole("alert").filter({ hasText: "give this one another name" }).waitFor();
    expect(await value.inputValue()).to.equal("#123A3F");
  });
});
