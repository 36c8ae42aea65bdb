import type { Locator, Page } from "playwright-core";
import type { PieceAnswer } from "../../core/api";
import type { Node, Piece } from "../../core/piece";
import { choose, painted, saved } from "./browser";
import type { Stage } from "./stage";

/** One size of the demo's announcement on the bench, and what a person does there. */
export class Bench {
  private constructor(
    private readonly stage: Stage,
    readonly page: Page,
    readonly surface: Locator,
  ) {}

  static async open(stage: Stage, size = "Photo feed, tall"): Promise<Bench> {
    const page = await stage.openPiece("opening-announcement");
    await page.getByRole("button", { name: new RegExp(`^${size}, \\d`) }).press("Enter");
    const surface = page.getByRole("group", { name: /by hand/ });
    await surface.waitFor();
    await painted(page);
    return new Bench(stage, page, surface);
  }

  get ledger(): Locator {
    return this.page.getByRole("region", { name: "By hand" });
  }

  saved(): Promise<void> {
    return saved(this.page);
  }

  field(name: string): Locator {
    return this.page.getByRole("textbox", { name, exact: true });
  }

  async number(name: string): Promise<number> {
    return Number(await this.field(name).inputValue());
  }

  async stored(): Promise<Piece> {
    return (await this.stage.program.ask<PieceAnswer>("/api/pieces/opening-announcement")).piece;
  }

  async node(id: string): Promise<Node | undefined> {
    return (await this.stored()).arrangement.find((node) => node.id === id);
  }

  /** Waits until a node is stored as it should be, which may take a composing of the lead. */
  async becomes(id: string, is: (node: Node) => boolean): Promise<void> {
    for (let tries = 0; tries < 60; tries++) {
      const node = await this.node(id);
      if (node && is(node)) return;
      await this.page.waitForTimeout(100);
    }
    throw new Error(`“${id}” did not become so: ${JSON.stringify(await this.node(id))}`);
  }

  inList(name: string): Locator {
    return this.page
      .getByRole("region", { name: "Everything on this size" })
      .getByRole("button", { name, exact: true });
  }

  async add(what: string): Promise<void> {
    const bar = this.page.getByRole("group", { name: "Add", exact: true });
    await bar.getByRole("button", { name: what }).click();
  }

  async addShape(name: string): Promise<void> {
    await this.add("Shape");
    await this.page.getByRole("button", { name: `Add ${name}`, exact: true }).click();
    await this.saved();
  }

  /** Takes one of a list in the ledger. */
  choose(label: string, option: string | RegExp): Promise<void> {
    return choose(this.page, label, option);
  }

  /** Presses at a place in pixels of a frame `wide` pixels across, and lets go at another. */
  async drag(
    wide: number,
    from: readonly [number, number],
    to: readonly [number, number],
    key?: string,
  ): Promise<void> {
    const { mouse, keyboard } = this.page;
    const { x, y, width } = (await this.surface.boundingBox())!;
    const by = width / wide;
    await mouse.move(x + from[0] * by, y + from[1] * by);
    await mouse.down();
    if (key) await keyboard.down(key);
    await mouse.move(x + to[0] * by, y + to[1] * by, { steps: 8 });
    await mouse.up();
    if (key) await keyboard.up(key);
  }
}
