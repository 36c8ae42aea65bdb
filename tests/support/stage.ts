import { expect } from "chai";
import type { Browser, BrowserContext, Page } from "playwright-core";
import { launch, openPage, painted, Program } from "./browser";

/**
 * A program and a window for all tests of a suite, in which nothing is left of the test before but what the browser keeps of
 * the program's files; a test fails on any error in the page.
 */
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
      this.context = await this.browser.newContext({
        viewport: { width: 1280, height },
        acceptDownloads: true,
        // Nobody watches it move.
        reducedMotion: "reduce",
      });
    });
    after(async () => {
      await this.browser.close();
      await this.program.close();
    });
    beforeEach(() => {
      this.errors.length = 0;
    });
    afterEach(async () => {
      await this.clear();
      expect(this.errors).to.deep.equal([]);
    });
  }

  /** Closes every page, then forgets what they kept and were allowed. */
  private async clear(): Promise<void> {
    const blank = await this.context.newPage();
    for (const page of this.context.pages()) if (page !== blank) await page.close();
    const session = await this.context.newCDPSession(blank);
    const kept = { origin: this.program.url, storageTypes: "local_storage,indexeddb" };
    await session.send("Storage.clearDataForOrigin", kept);
    await this.context.clearPermissions();
    await this.context.setOffline(false);
    await blank.close();
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
