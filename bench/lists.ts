import type { Browser, Page } from "playwright-core";
import { CrateList, PictureList } from "../core/api";
import { painted, type Program } from "../tests/support/browser";
import { quantile, table } from "./figures";

const PIECES = 2000;
const CRATES = 40;
const PICTURES = 10_000;
const RUNS = 3;

/** How long the crates and the pictures take to open, and to scroll, with many of them: the interface alone. */
export async function benchLists(program: Program, browser: Browser): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const [few, fewPictures] = [
    await opened(page, program, "Crates", "article"),
    await opened(page, program, "Pictures", "main li"),
  ];
  const bare = await bareScroll(page);
  const rows: [string, string][] = [
    ["A page without anything: a frame, p95", `${bare.toFixed(1)} ms`],
  ];
  for (const [name, shelf, base, count] of [
    ["Crates", "article", few, `${PIECES} pieces`],
    ["Pictures", "main li", fewPictures, `${PICTURES} pictures`],
  ] as const) {
    await (name === "Crates" ? withManyPieces(page) : withManyPictures(page));
    const many = await opened(page, program, name, shelf);
    await painted(page);
    await page.waitForTimeout(RESTED);
    const scroll = await scrolled(page);
    await page.unrouteAll();
    const ratio = (many / base).toFixed(1);
    rows.push(
      [`${count}: to the first of them`, `${many.toFixed(0)} ms`],
      ["  against the demo's few", `${ratio} ×`],
      ["  a frame while scrolling, p95", `${scroll.toFixed(1)} ms`],
      ["  against the empty page", `${(scroll / bare).toFixed(2)} ×`],
    );
  }
  table("Long lists", rows);
  await page.close();
}

/** What was being made as the page opened is done, in milliseconds; the empty page has nothing to make either. */
const RESTED = 1000;

/** A hand is on a link so long before it presses, in milliseconds. */
const POINTED = 120;

/** From the press on a place until its first thing stands on the page, in ms; the median of some. */
async function opened(page: Page, program: Program, name: string, shelf: string): Promise<number> {
  const times: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    await page.goto(`${program.url}/storage`);
    await page.getByRole("heading", { name: "On this disk" }).waitFor();
    await page.goto(`${program.url}/placements`);
    await page.getByRole("heading", { name: "Placements" }).waitFor();
    const link = page.getByRole("navigation").getByRole("link", { name, exact: true });
    await link.hover();
    await page.waitForTimeout(POINTED);
    await page.evaluate((first) => {
      addEventListener("click", () => performance.mark("pressed"), { capture: true, once: true });
      new MutationObserver((_, observer) => {
        if (!document.querySelector(first)) return;
        performance.mark("there");
        observer.disconnect();
      }).observe(document.body, { childList: true, subtree: true });
    }, shelf);
    await page.mouse.down();
    await page.mouse.up();
    await page.locator(shelf).first().waitFor();
    times.push(
      await page.evaluate(() => performance.measure("opened", "pressed", "there").duration),
    );
  }
  return quantile(times, 0.5);
}

/** The 95th percentile of the time between frames while the page is scrolled by 40 000 px, in ms. */
async function scrolled(page: Page): Promise<number> {
  const gaps = await page.evaluate(async () => {
    const found: number[] = [];
    let last = performance.now();
    for (let count = 0; count < 200; count++) {
      window.scrollBy(0, 200);
      await new Promise(requestAnimationFrame);
      found.push(performance.now() - last);
      last = performance.now();
    }
    return found;
  });
  return quantile(gaps, 0.95);
}

/** What the browser itself does on this machine when there is nothing to make. */
async function bareScroll(page: Page): Promise<number> {
  await page.setContent('<div style="height: 100000px"></div>');
  return scrolled(page);
}

/** The server's answers with copies of what is there. */
export async function withManyPieces(page: Page): Promise<void> {
  await page.route("**/api/crates", async (route) => {
    const { crates } = CrateList.parse(await (await route.fetch()).json());
    const pieces = crates.flatMap((crate) => crate.pieces);
    const each = PIECES / CRATES;
    const many = Array.from({ length: CRATES }, (_, at) => ({
      ...crates[at % crates.length]!,
      id: `crate-${at}`,
      name: `Campaign ${at}`,
      pieces: Array.from({ length: each }, (_, i) => {
        const piece = pieces[i % pieces.length]!;
        return { ...piece, id: `copy-${at}-${i}-${piece.id}`, title: `Piece ${i}` };
      }),
    }));
    await route.fulfill({ json: { crates: many } });
  });
  await page.route("**/api/pieces/copy-*", async (route) => {
    const [, original] = /copy-\d+-\d+-(.*)$/.exec(route.request().url())!;
    await route.continue({ url: new URL(`/api/pieces/${original}`, route.request().url()).href });
  });
}

async function withManyPictures(page: Page): Promise<void> {
  await page.route("**/api/pictures", async (route) => {
    const { pictures } = PictureList.parse(await (await route.fetch()).json());
    const many = Array.from({ length: PICTURES }, (_, i) => ({
      ...pictures[i % pictures.length]!,
      id: i.toString(16).padStart(64, "0"),
      name: `picture-${i}.jpg`,
    }));
    await route.fulfill({ json: { pictures: many } });
  });
}
