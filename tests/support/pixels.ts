import { readdirSync } from "node:fs";
import { createRequire } from "node:module";
import { join } from "node:path";
import type { Remote } from "comlink";
import type { Browser, Page } from "playwright-core";
import sharp from "sharp";
import type { Brand } from "../../core/brand";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import type { Painter } from "../../web/wall/protocol";
import type { Program } from "./browser";
import { root } from "./demo";

export interface Pixels {
  data: Buffer;
  width: number;
  height: number;
}

/** RGB of an encoded image. */
export async function decode(image: Buffer): Promise<Pixels> {
  const { data, info } = await sharp(image)
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

export interface Difference {
  /** The largest difference of one channel, of 255. */
  most: number;
  /** The share of pixels that differ at all. */
  share: number;
}

export function differenceOf(a: Pixels, b: Pixels): Difference {
  if (a.width !== b.width || a.height !== b.height) throw new Error("the sizes differ");
  let [most, differing] = [0, 0];
  for (let i = 0; i < a.data.length; i += 3) {
    let by = 0;
    for (let c = 0; c < 3; c++) by = Math.max(by, Math.abs(a.data[i + c]! - b.data[i + c]!));
    most = Math.max(most, by);
    if (by > 0) differing++;
  }
  const pixels = a.data.length / 3;
  return { most, share: differing / pixels };
}

interface Wish {
  piece: Piece;
  brand: Brand;
  placement: Placement;
  pixels: number;
}

interface PageGlobals {
  Comlink: {
    wrap(worker: Worker): Remote<Painter>;
    transfer<T>(value: T, list: Transferable[]): T;
  };
  painter: Remote<Painter>;
}

/** The application's own painting worker, driven without its interface. */
export class WorkerPainter {
  private readonly painted = new Map<string, (pixels: Buffer) => void>();
  private count = 0;

  private constructor(private readonly page: Page) {}

  static async open(browser: Browser, program: Program): Promise<WorkerPainter> {
    // A script of the test's own is put into the page, which else takes none but the application's.
    const page = await browser.newPage({ bypassCSP: true });
    const painter = new WorkerPainter(page);
    // The compiler that runs the tests names functions through a helper, which the page lacks.
    await page.addInitScript("globalThis.__name = (named) => named");
    await page.route("**/painted-pixels/*", async (route) => {
      const key = route.request().url().split("/").at(-1)!;
      painter.painted.get(key)?.(route.request().postDataBuffer()!);
      await route.fulfill({ status: 204 });
    });
    await page.goto(program.url);
    const comlink = createRequire(import.meta.url).resolve("comlink");
    await page.addScriptTag({ path: comlink });
    const worker = readdirSync(join(root, "dist/web/assets")).find((name) =>
      /^worker-.*\.js$/.test(name),
    );
    await page.evaluate((script) => {
      const globals = globalThis as unknown as PageGlobals;
      globals.painter = globals.Comlink.wrap(new Worker(`/assets/${script}`, { type: "module" }));
    }, worker);
    return painter;
  }

  /** Paints once to have the pictures fetched, and then on a canvas that has not been seen before. */
  async paint(wish: Wish): Promise<Pixels> {
    const key = `tile-${++this.count}`;
    const sent = new Promise<Buffer>((resolve) => this.painted.set(key, resolve));
    const { width, height } = await this.page.evaluate(
      async ({ piece, brand, placement, pixels, key }) => {
        const { painter, Comlink } = globalThis as unknown as PageGlobals;
        const paintOn = async (name: string): Promise<HTMLCanvasElement> => {
          const canvas = document.createElement("canvas");
          document.body.append(canvas);
          const offscreen = canvas.transferControlToOffscreen();
          await painter.attach(name, Comlink.transfer(offscreen, [offscreen]));
          await painter.show({ piece, brand, tiles: [{ key: name, placement, pixels }] });
          await painter.complete();
          await painter.detach(name);
          return canvas;
        };
        (await paintOn(`${key}-first`)).remove();
        const canvas = await paintOn(key);
        // A canvas that a worker paints has its new size from the frame on that shows what was painted.
        while (canvas.width !== pixels) await new Promise(requestAnimationFrame);
        await new Promise(requestAnimationFrame);
        const { width, height } = canvas;
        const context = new OffscreenCanvas(width, height).getContext("2d", {
          willReadFrequently: true,
        })!;
        context.drawImage(canvas, 0, 0);
        canvas.remove();
        const { data } = context.getImageData(0, 0, width, height);
        await fetch(`/painted-pixels/${key}`, { method: "POST", body: data });
        return { width, height };
      },
      { ...wish, key },
    );
    const rgba = await sent;
    this.painted.delete(key);
    const data = await sharp(rgba, { raw: { width, height, channels: 4 } })
      .removeAlpha()
      .raw()
      .toBuffer();
    return { data, width, height };
  }
}
