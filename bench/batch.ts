import { availableParallelism } from "node:os";
import type { Browser, Page } from "playwright-core";
import sharp from "sharp";
import { isUnderWay, type BatchAnswer } from "../core/api";
import type { Brand } from "../core/brand";
import type { Pixels } from "../core/attention";
import { isPicture, type Piece } from "../core/piece";
import { encodePixels, QUALITY } from "../server/render/encode";
import type { Program } from "../tests/support/browser";
import { quantile, table } from "./figures";

/** All are measured in turn, so that a machine that is slow for a while is slow for all. */
const ROUNDS = 3;
const COUNT = { jpeg: 400, png: 200 };
const COUNT_WARM = { jpeg: 40, png: 16 };
const COUNT_FRESH = 6;
const COUNT_FLOOR = { jpeg: 60, png: 20 };
const SIZE = { width: 1080, height: 1350 };

/** No two batches say the same, or the second would find what it needs of the first. */
let said = 1000;
const headline = (): string => `Harbour light number ${said++}`;
/** As a marketer's table has them: of several lengths, all different. */
const HEADS = [
  "Boats at rest",
  "Still water, early",
  "What the tide leaves behind",
  "Harbour light",
];
const varied = (): string => `${HEADS[said % HEADS.length]} ${said++}`;
const THREE = ["photo-feed-tall", "story", "photo-feed-square"];

type Format = "jpeg" | "png";
type Rates = Record<"ours" | "three" | "apart" | "warm" | "floor" | "usual", number>;

/**
 * Pictures a second in a batch at 1080 × 1350 with a photograph, against the same picture taken by headless Chromium of an
 * HTML page in the same run: warm pages, one a core, with the text swapped in; and a fresh page for each picture. And against
 * what encoding every picture as a whole would take: sharp alone, on as many threads, with their pixels at hand; as it encodes
 * by itself, and as it is told to here, which takes it half as long for a JPEG.
 */
export async function benchBatch(program: Program, browser: Browser): Promise<void> {
  const html = await page(program);
  for (const format of ["jpeg", "png"] as const) {
    await batchRate(program, { count: 40, format }); // Once to warm up.
    const pixels = await pixelsOf(program);
    const rounds: Rates[] = [];
    for (let round = 0; round < ROUNDS; round++) {
      const three = { placements: THREE, say: varied, count: COUNT[format] / THREE.length, format };
      rounds.push({
        ours: await batchRate(program, { count: COUNT[format], format }),
        three: await batchRate(program, three),
        apart: await batchRate(program, { ...three, alike: false }),
        warm: await warmRate(browser, html, format),
        usual: await floorRate(pixels, format, usually),
        floor: await floorRate(pixels, format, encodePixels),
      });
    }
    tell(format, rounds);
  }
  const [ours, fresh] = [
    await batchRate(program, { count: COUNT.jpeg, format: "jpeg" }),
    await freshRate(browser, html),
  ];
  table("Against a fresh page for each picture, JPEG", [
    ["Chromium, fresh pages", rate(fresh)],
    ["one size against fresh pages", times(ours / fresh)],
  ]);
}

const rate = (value: number): string => `${value.toFixed(1)} a second`;
const times = (value: number): string => `${value.toFixed(1)} ×`;

function tell(format: Format, rounds: readonly Rates[]): void {
  const median = (of: (round: Rates) => number) => quantile(rounds.map(of), 0.5);
  const share = (of: (round: Rates) => number) => `${(100 * median(of)).toFixed(0)} %`;
  const about = `${SIZE.width} × ${SIZE.height}, ${availableParallelism()} cores`;
  table(`A ${format.toUpperCase()} batch, ${about}, medians of ${ROUNDS} rounds`, [
    ["one size", rate(median(({ ours }) => ours))],
    ["three sizes, words of all lengths", rate(median(({ three }) => three))],
    ["the same, each by itself", rate(median(({ apart }) => apart))],
    ["Chromium, warm pages", rate(median(({ warm }) => warm))],
    ["encoding alone, as sharp does by itself", rate(median(({ usual }) => usual))],
    ["encoding alone, as here", rate(median(({ floor }) => floor))],
    ["one size against warm pages", times(median(({ ours, warm }) => ours / warm))],
    ["three against warm pages", times(median(({ three, warm }) => three / warm))],
    ["three against by itself", times(median(({ three, apart }) => three / apart))],
    ["one size against encoding, as sharp does", share(({ ours, usual }) => ours / usual)],
    ["three against encoding, as sharp does", share(({ three, usual }) => three / usual)],
    ["one size against encoding, as here", share(({ ours, floor }) => ours / floor)],
    ["three against encoding, as here", share(({ three, floor }) => three / floor)],
  ]);
}

interface Asked {
  count: number;
  format: Format;
  placements?: string[];
  say?: () => string;
  alike?: boolean;
}

/** Files a second. */
async function batchRate(program: Program, asked: Asked): Promise<number> {
  const start = performance.now();
  const { made } = await batch(program, asked);
  return made / ((performance.now() - start) / 1000);
}

async function batch(
  program: Program,
  { count, format, placements = ["photo-feed-tall"], say = headline, alike = true }: Asked,
): Promise<BatchAnswer> {
  const rows = Array.from({ length: Math.round(count) }, () => [say()]);
  const request = { table: { columns: ["headline"], rows }, placements, format, alike };
  let now = await program.ask<BatchAnswer>("/api/pieces/opening-announcement/batches", request);
  while (isUnderWay(now.state)) {
    await new Promise((resolve) => setTimeout(resolve, 100));
    now = await program.ask<BatchAnswer>(`/api/batches/${now.id}`);
  }
  return now;
}

/** The pixels of a picture of such a batch, RGB. */
async function pixelsOf(program: Program): Promise<Buffer> {
  const { id } = await batch(program, { count: 1, format: "png" });
  const file = await fetch(`${program.url}/api/batches/${id}/outputs/0/photo-feed-tall`);
  return sharp(Buffer.from(await file.arrayBuffer()))
    .raw()
    .toBuffer();
}

type Encode = (pixels: Pixels, format: Format) => Promise<Buffer>;

/** As sharp encodes where it is told the quality alone. */
const usually: Encode = ({ data, width, height, channels }, format) =>
  sharp(data, { raw: { width, height, channels } })
    .toFormat(format, format === "jpeg" ? { quality: QUALITY } : {})
    .toBuffer();

/** Pictures a second that are encoded of pixels that are there. */
async function floorRate(data: Buffer, format: Format, encode: Encode): Promise<number> {
  let next = 0;
  const start = performance.now();
  const worker = async () => {
    while (next++ < COUNT_FLOOR[format]) await encode({ ...SIZE, data, channels: 3 }, format);
  };
  await Promise.all(Array.from({ length: availableParallelism() }, worker));
  return COUNT_FLOOR[format] / ((performance.now() - start) / 1000);
}

const shoot = (page: Page, format: Format) =>
  page.screenshot({ type: format, ...(format === "jpeg" ? { quality: QUALITY } : {}) });

async function warmRate(browser: Browser, html: string, format: Format): Promise<number> {
  const pages = await Promise.all(
    Array.from({ length: availableParallelism() }, async () => {
      const page = await browser.newPage({ viewport: SIZE });
      await page.setContent(html, { waitUntil: "load" });
      await page.evaluate(() => document.fonts.ready);
      await shoot(page, format);
      return page;
    }),
  );
  let next = 0;
  const start = performance.now();
  await Promise.all(
    pages.map(async (page) => {
      while (next++ < COUNT_WARM[format]) {
        const text = headline();
        await page.evaluate((words) => (document.querySelector("h1")!.textContent = words), text);
        await shoot(page, format);
      }
    }),
  );
  const rate = COUNT_WARM[format] / ((performance.now() - start) / 1000);
  await Promise.all(pages.map((page) => page.close()));
  return rate;
}

async function freshRate(browser: Browser, html: string): Promise<number> {
  let next = 0;
  const start = performance.now();
  const worker = async () => {
    while (next++ < COUNT_FRESH) {
      const text = headline();
      const page = await browser.newPage({ viewport: SIZE });
      await page.setContent(html.replace("HEADLINE", text), { waitUntil: "load" });
      await page.evaluate(() => document.fonts.ready);
      await shoot(page, "jpeg");
      await page.close();
    }
  };
  await Promise.all(Array.from({ length: availableParallelism() }, worker));
  return COUNT_FRESH / ((performance.now() - start) / 1000);
}

/** The demo's post as an HTML page: same typefaces, same photograph, same places. */
async function page(program: Program): Promise<string> {
  const { piece } = await program.ask<{ piece: Piece }>("/api/pieces/opening-announcement");
  const brand = await program.ask<Brand>(`/api/brands/${piece.brand}`);
  const filling = piece.message.picture;
  const picture = isPicture(filling) ? filling.picture : "";
  const bytes = async (path: string) =>
    Buffer.from(await (await fetch(`${program.url}${path}`)).arrayBuffer()).toString("base64");
  const display = await bytes(`/api/files/${brand.typefaces.headline.faces[0]!.file}`);
  const text = await bytes(`/api/files/${brand.typefaces.text.faces[0]!.file}`);
  const photo = await bytes(`/api/pictures/${picture}/rendition?width=1280`);
  return `<!doctype html><style>
    @font-face { font-family: display; src: url(data:font/ttf;base64,${display}); }
    @font-face { font-family: text; src: url(data:font/ttf;base64,${text}); }
    body { margin: 0; width: 1080px; height: 1350px; background: #123a3f; color: #f6efe2; font: 31px/1.36 text; }
    img { display: block; width: 1080px; height: 726px; object-fit: cover; }
    h1 { position: absolute; left: 100px; top: 830px; width: 540px; margin: 0; font: 600 120px/0.93 display; }
    p { position: absolute; left: 654px; top: 980px; width: 326px; }
    b { position: absolute; left: 654px; top: 1142px; padding: 16px 30px; background: #edb64a; color: #123a3f; }
  </style><img src="data:image/webp;base64,${photo}"><h1>HEADLINE</h1>
  <p>Harbour photographs from 1868 to 1931</p><b>Book a quiet hour</b>`;
}
