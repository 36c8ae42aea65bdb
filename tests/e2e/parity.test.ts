import { expect } from "chai";
import type { Browser } from "playwright-core";
import sharp from "sharp";
import { reportOf, type LayoutReport } from "../../core/preflight";
import { FolderFiles } from "../../server/files/folders";
import { Studio } from "../../server/render/studio";
import { launch, Program, settled } from "../support/browser";
import { demoBrand, demoFolder, demoPiece } from "../support/demo";

/** A difference of one channel that nobody sees, and the share of pixels that may differ at all. */
const MOST_DIFFERENCE = 4;
const MOST_SHARE = 0.03;
/** Sizes that fit the workbench at one pixel a pixel. */
const SIZES = ["ad-medium-rectangle", "ad-wide-skyscraper", "ad-phone-banner"];

interface Pixels {
  data: Buffer;
  width: number;
  height: number;
}

async function decode(image: Buffer): Promise<Pixels> {
  const { data, info } = await sharp(image)
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

/** Compares outside the pictures: those are scaled on the way to the screen, and exactly only for export. */
function compare(a: Pixels, b: Pixels, report: LayoutReport): { most: number; share: number } {
  const pictures = report.nodes.filter((node) => node.kind === "picture").map((node) => node.box);
  let [most, differing, compared] = [0, 0, 0];
  for (let y = 0; y < a.height; y++) {
    for (let x = 0; x < a.width; x++) {
      const inside = pictures.some(
        (p) => x >= p.x - 1 && x <= p.x + p.width + 1 && y >= p.y - 1 && y <= p.y + p.height + 1,
      );
      if (inside) continue;
      compared++;
      const at = (y * a.width + x) * 3;
      const by = Math.max(...[0, 1, 2].map((c) => Math.abs(a.data[at + c]! - b.data[at + c]!)));
      most = Math.max(most, by);
      if (by > 0) differing++;
    }
  }
  return { most, share: differing / compared };
}

describe("the same picture everywhere", () => {
  let program: Program;
  let browser: Browser;
  before(async () => {
    program = await Program.create();
    browser = await launch();
  });
  after(async () => {
    await browser.close();
    await program.close();
  });

  for (const [brandId, pieceId] of [
    ["saltlight", "float-before-lunch"],
    ["quillmere", "opening-announcement"],
  ] as const) {
    it(`paints ${pieceId} on screen as it is exported`, async () => {
      const studio = new Studio(new FolderFiles([demoFolder]));
      const page = await browser.newPage({ viewport: { width: 1280, height: 900 } });
      await page.goto(`${program.url}/pieces/${pieceId}/sizes`);
      await page.locator(".wall canvas").first().waitFor();
      for (const id of SIZES) {
        const made = await studio.make(demoPiece(brandId, pieceId), demoBrand(brandId), id);
        const exported = await decode(await studio.encode(made.scene, "png", 1));
        const size = `${exported.width} by ${exported.height}`;
        await page.getByRole("button", { name: size }).click();
        await page.keyboard.press("Enter");
        await page.locator(".large canvas").waitFor();
        await settled(page);
        const box = (await page.locator(".large canvas").boundingBox())!;
        const whole = {
          x: Math.round(box.x),
          y: Math.round(box.y),
          width: exported.width,
          height: exported.height,
        };
        const shown = await decode(await page.screenshot({ clip: whole }));
        const { most, share } = compare(exported, shown, reportOf(made.layout));
        console.log(
          `      ${pieceId} ${id}: at most ${most} of 255, ${(100 * share).toFixed(2)} % of pixels`,
        );
        expect(most, id).to.be.at.most(MOST_DIFFERENCE);
        expect(share, id).to.be.at.most(MOST_SHARE);
        await page.keyboard.press("Escape");
      }
      await page.close();
    });
  }
});
