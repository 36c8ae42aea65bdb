import { expect } from "chai";
import type { Browser, BrowserContext, Page } from "playwright-core";
import { launch, openPage, painted, Program } from "./browser";

/** A program and a browser for all tests of a suite, and a fresh window for each; a test fails on any error in the page. */
export class Stage {
  program!: Program;
  context!: BrowserContext;
  readonly errors: string[] = [];
  private browser!: Browser;

  /** Called inside `describe`. `height` is that of the window; it is 1280 wide. `sizes` are those of the demo's pieces. */
  constructor({ height = 800, sizes = "few" as "few" | "all" } = {}) {
    before(async () => {
      this.program = await Program.create(sizes);
      this.browser = await launch();
    });
    after(async () => {
      await this.browser.close();
      await this.program.close();
    });
    beforeEach(async () => {
      this.errors.length = 0;
      const viewport = { width: 1280, height };
      this.context = await this.browser.newContext({
        viewport,
        acceptDownloads: true,
        // Nobody watches it move.
        reducedMotion: "reduce",
      });
    });
    afterEach(async () => {
      await this.context.close();
      expect(this.errors).to.deep.equal([]);
    });
  }

  /** A piece at a step, when everything on it is painted. */
  async openPiece(piece: string, step = "sizes"): Promise<Page> {
    const page = await this.open(`/pieces/${piece}/${step}`);
    await page.getByRole("textbox", { name: "Headline" }).waitFor();
    await painted(page);
    return page;
  }

  open(path: string): Promise<Page> {
    return openPage(this.context, `${this.program.url}${path}`, this.errors);
  }
}
