import { expect } from "chai";
import type { Browser } from "playwright-core";
import { catalogue, placementById, type Placement } from "../../core/placements";
import { specimen } from "../../core/specimen";
import type { Brand } from "../../core/brand";
import type { Piece } from "../../core/piece";
import { FolderFiles } from "../../server/files/folders";
import { WithShipped } from "../../server/files/shipped";
import { Studio } from "../../server/render/studio";
import { launch, Program, settled } from "../support/browser";
import { demoBrand, demoFolder, demoPiece, demoPieces, fontFolder } from "../support/demo";
import {
  decode,
  differenceOf,
  WorkerPainter,
  type Difference,
  type Pixels,
} from "../support/pixels";

/** A difference of one channel that nobody sees, and the share of pixels that may differ at all. */
const MOST_DIFFERENCE = 4;
const MOST_SHARE = 0.03;
/** Whole sizes are compared at a scale at which their longer side has this many pixels. */
const LONGEST = 640;
/** Sizes that fit the workbench at one pixel a pixel. */
const SIZES = ["ad-medium-rectangle", "ad-wide-skyscraper", "ad-phone-banner"];

describe("the same picture everywhere", () => {
  let program: Program;
  let browser: Browser;
  let worker: WorkerPainter;
  const studio = new Studio(new WithShipped(fontFolder, new FolderFiles([demoFolder])));
  before(async () => {
    program = await Program.create("all");
    browser = await launch();
    worker = await WorkerPainter.open(browser, program);
  });
  after(async () => {
    await browser.close();
    await program.close();
  });

  async function compared(piece: Piece, brand: Brand, placement: Placement): Promise<Difference> {
    const pixels = Math.max(
      1,
      Math.round((placement.width * LONGEST) / Math.max(placement.width, placement.height)),
    );
    // The two have a core each.
    const shown = worker.paint({ piece, brand, placement, pixels });
    const { scene } = await studio.make(piece, brand, placement);
    const exported = await decode(await studio.encode(scene, "png", pixels / placement.width));
    return differenceOf(exported, await shown);
  }

  const tell = (what: string, all: Difference[]): void => {
    const most = Math.max(...all.map((one) => one.most));
    const share = Math.max(...all.map((one) => one.share));
    console.log(
      `      ${what}: at most ${most} of 255, at most ${(100 * share).toFixed(2)} % of pixels`,
    );
  };

  // Two of the four pieces in each placement.
  for (const [turn, { piece, brand }] of demoPieces().entries()) {
    it(`paints ${piece.id} in the browser as on the server, in every fourth placement`, async () => {
      const found: Difference[] = [];
      for (const placement of catalogue.placements.filter((_, i) => i % 4 === turn % 4)) {
        const difference = await compared(piece, brand, placement);
        expect(difference.most, placement.id).to.be.at.most(MOST_DIFFERENCE);
        expect(difference.share, placement.id).to.be.at.most(MOST_SHARE);
        found.push(difference);
      }
      tell(`${piece.id}, ${found.length} placements`, found);
    });
  }

  it("paints every page of the specimen in the browser as on the server", async () => {
    const found: Difference[] = [];
    const picture = Object.values(demoPiece("quillmere", "opening-announcement").message).flatMap(
      (filling) => ("picture" in filling ? [filling.picture] : []),
    )[0];
    for (const id of ["quillmere", "saltlight"]) {
      for (const { piece, placement } of specimen(demoBrand(id), picture)) {
        const difference = await compared(piece, demoBrand(id), placement);
        expect(difference.most, placement.id).to.be.at.most(MOST_DIFFERENCE);
        expect(difference.share, placement.id).to.be.at.most(MOST_SHARE);
        found.push(difference);
      }
    }
    tell(`${found.length} pages`, found);
  });

  it("shows on screen what is exported, at one pixel a pixel", async () => {
    const found: Difference[] = [];
    const page = await browser.newPage({ viewport: { width: 1280, height: 900 } });
    await page.goto(`${program.url}/pieces/opening-announcement/sizes`);
    await page.locator(".wall canvas").first().waitFor();
    for (const id of SIZES) {
      const made = await studio.make(
        demoPiece("quillmere", "opening-announcement"),
        demoBrand("quillmere"),
        placementById(id),
      );
      const exported = await decode(await studio.encode(made.scene, "png", 1));
      await page.getByRole("button", { name: `${exported.width} by ${exported.height}` }).click();
      await page.keyboard.press("Enter");
      await page.locator(".large .frame > canvas").waitFor();
      await page.getByRole("button", { name: "100 %" }).click();
      await settled(page);
      const { x, y } = (await page.locator(".large .frame > canvas").boundingBox())!;
      const { width, height } = exported;
      const clip = { x: Math.round(x), y: Math.round(y), width, height };
      const shown: Pixels = await decode(await page.screenshot({ clip }));
      const difference = differenceOf(exported, shown);
      expect(difference.most, id).to.be.at.most(MOST_DIFFERENCE);
      expect(difference.share, id).to.be.at.most(MOST_SHARE);
      found.push(difference);
      await page.keyboard.press("Escape");
    }
    tell(`${found.length} sizes on screen`, found);
    await page.close();
  });
});
