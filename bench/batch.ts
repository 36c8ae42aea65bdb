import { availableParallelism } from "node:os";
import type { Browser, Page } from "playwright-core";
import { isUnderWay, type BatchAnswer } from "../core/api";
import type { Brand } from "../core/brand";
import { isPicture, type Piece } from "../core/piece";
import type { Program } from "../tests/support/browser";
import { quantile, table } from "./figures";

/** The three are measured in turn, so that a machine that is slow for a while is slow for all. */
const ROUNDS = 5;
const COUNT = 100;
const COUNT_WARM = 40;
const COUNT_FRESH = 6;
const SIZE = { width: 1080, height: 1350 };

const headline = (index: number): string => `Harbour light number ${index}`;
/** As a marketer's table has them: of several lengths, all different. */
const HEADS = [
  "Boats at rest",
  "Still water, early",
  "What the tide leaves behind",
  "Harbour light",
];
const varied = (index: number): string => `${HEADS[index % HEADS.length]} ${index}`;
const THREE = ["photo-feed-tall", "story", "photo-feed-square"];
const COUNT_THREE = 50;

/**
 * Pictures a second in a JPEG batch at 1080 × 1350 with a photograph, against the same picture taken
 * by headless Chromium of an HTML page in the same run: warm pages, one a core, with the text
 * swapped in; and a fresh page for each picture.
 */
export async function benchBatch(program: Program, browser: Browser): Promise<void> {
  await batchRate(program, 20); // Once to warm up.
  const html = await page(program);
  const rounds: Record<"ours" | "three" | "apart" | "warm" | "fresh", number>[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const ours = await batchRate(program, COUNT);
    const three = await batchRate(program, COUNT_THREE, { placements: THREE, say: varied });
    const by = { placements: THREE, say: varied, alike: false };
    const apart = await batchRate(program, COUNT_THREE, by);
    const warm = await warmRate(browser, html);
    rounds.push({ ours, three, apart, warm, fresh: await freshRate(browser, html) });
  }
  const median = (of: (round: (typeof rounds)[number]) => number) => quantile(rounds.map(of), 0.5);
  const rate = (value: number) => `${value.toFixed(1)} a second`;
  const cores = availableParallelism();
  table(
    `A JPEG batch, ${SIZE.width} × ${SIZE.height}, ${cores} cores, medians of ${ROUNDS} rounds`,
    [
      ["one size", rate(median((round) => round.ours))],
      ["three sizes, words of all lengths", rate(median((round) => round.three))],
      ["the same, each by itself", rate(median((round) => round.apart))],
      ["Chromium, warm pages", rate(median((round) => round.warm))],
      ["Chromium, fresh pages", rate(median((round) => round.fresh))],
      ["one size against warm pages", `${median((round) => round.ours / round.warm).toFixed(1)} ×`],
      ["three against warm pages", `${median((round) => round.three / round.warm).toFixed(1)} ×`],
      ["three against by itself", `${median((round) => round.three / round.apart).toFixed(1)} ×`],
      [
        "one size against fresh pages",
        `${median((round) => round.ours / round.fresh).toFixed(1)} ×`,
      ],
    ],
  );
}

interface Asked {
  placements?: string[];
  say?: (index: number) => string;
  alike?: boolean;
}

/** Files a second. */
async function batchRate(
  program: Program,
  count: number,
  { placements = ["photo-feed-tall"], say = headline, alike = true }: Asked = {},
): Promise<number> {
  const rows = Array.from({ length: count }, (_, index) => [say(index)]);
  const request = { table: { columns: ["headline"], rows }, placements, format: "jpeg", alike };
  const start = performance.now();
  const { id } = await program.ask<BatchAnswer>(
    "/api/pieces/opening-announcement/batches",
    request,
  );
  for (;;) {
    const { state, made } = await program.ask<BatchAnswer>(`/api/batches/${id}`);
    if (!isUnderWay(state)) return made / ((performance.now() - start) / 1000);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

const shoot = (page: Page) => page.screenshot({ type: "jpeg", quality: 90 });

async function warmRate(browser: Browser, html: string): Promise<number> {
  const pages = await Promise.all(
    Array.from({ length: availableParallelism() }, async () => {
      const page = await browser.newPage({ viewport: SIZE });
      await page.setContent(html, { waitUntil: "load" });
      await page.evaluate(() => document.fonts.ready);
      await shoot(page);
      return page;
    }),
  );
  let next = 0;
  const start = performance.now();
  await Promise.all(
    pages.map(async (page) => {
      while (next < COUNT_WARM) {
        const text = headline(next++);
        await page.evaluate((words) => (document.querySelector("h1")!.textContent = words), text);
        await shoot(page);
      }
    }),
  );
  const rate = COUNT_WARM / ((performance.now() - start) / 1000);
  await Promise.all(pages.map((page) => page.close()));
  return rate;
}

async function freshRate(browser: Browser, html: string): Promise<number> {
  let next = 0;
  const start = performance.now();
  const worker = async () => {
    while (next < COUNT_FRESH) {
      const text = headline(next++);
      const page = await browser.newPage({ viewport: SIZE });
      await page.setContent(html.replace("HEADLINE", text), { waitUntil: "load" });
      await page.evaluate(() => document.fonts.ready);
      await shoot(page);
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
