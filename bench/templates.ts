import type { Browser, Page } from "playwright-core";
import type { Program } from "../tests/support/browser";
import { quantile, table } from "./figures";

const WANTED = 36;
const ROUNDS = 5;

/**
 * From a press on the link to the template page, a few seconds after the program was opened, until 36 previews are on
 * screen with their pictures, and the same pressed at once; then how long
 * frames take while it scrolls. Baseline in the same run: as many still pictures of the same size from the server.
 */
export async function benchTemplates(program: Program, browser: Browser): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 2700 } });
  const opened: number[] = [];
  for (let round = 0; round <= ROUNDS; round++) {
    await page.goto(program.url);
    await page.getByRole("link", { name: "New piece" }).first().waitFor();
    await page.waitForTimeout(round === 0 ? 0 : 4000);
    opened.push(await timeToOpen(page));
  }
  const warm = opened.slice(1);
  const still = await timeStills(page, program.url);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.waitForTimeout(500);
  const frames = await timeFrames(page);
  await page.close();
  table(`${WANTED} live templates on a page`, [
    ["page opened to all of them painted, median", `${quantile(warm, 0.5).toFixed(0)} ms`],
    ["slowest of the others", `${Math.max(...warm).toFixed(0)} ms`],
    ["pressed as soon as the program is there,", `${opened[0]!.toFixed(0)} ms`],
    ["as many still pictures of that size", `${still.toFixed(0)} ms`],
    ["ratio", `${(quantile(warm, 0.5) / still).toFixed(1)} ×`],
    ["frames while scrolling, median", `${quantile(frames, 0.5).toFixed(1)} ms`],
    ["frames while scrolling, p95", `${quantile(frames, 0.95).toFixed(1)} ms`],
  ]);
}

const timeToOpen = (page: Page): Promise<number> =>
  page.evaluate(async (wanted) => {
    const link = [...document.querySelectorAll("a")].find(
      (one) => one.textContent?.trim() === "New piece",
    )!;
    const start = performance.now();
    link.click();
    for (;;) {
      await new Promise(requestAnimationFrame);
      const busy = document.querySelectorAll("main canvas[aria-busy=true]").length;
      const done = document.querySelectorAll("main canvas[aria-busy=false]").length;
      if (location.pathname.endsWith("/new") && busy === 0 && done >= wanted)
        return performance.now() - start;
      if (performance.now() - start > 20_000) throw new Error(`${done} of ${wanted} were painted`);
    }
  }, WANTED);

/** The same number of pictures, each asked for under an address of its own so that none is cached. */
const timeStills = (page: Page, url: string): Promise<number> =>
  page.evaluate(
    async ({ url, count }) => {
      const { pictures } = await (await fetch(`${url}/api/pictures`)).json();
      const start = performance.now();
      const images = Array.from({ length: count }, (_, i) => {
        const image = new Image();
        const { id } = pictures[i % pictures.length];
        image.src = `${url}/api/pictures/${id}/rendition?width=320&still=${i}-${start}`;
        return image.decode().catch(() => undefined);
      });
      await Promise.all(images);
      return performance.now() - start;
    },
    { url, count: WANTED },
  );

const timeFrames = (page: Page): Promise<number[]> =>
  page.evaluate(async () => {
    const main = document.querySelector("main")!;
    const times: number[] = [];
    let last = performance.now();
    for (let y = 0; y < main.scrollHeight - main.clientHeight; y += 24) {
      main.scrollTop = y;
      await new Promise(requestAnimationFrame);
      const now = performance.now();
      times.push(now - last);
      last = now;
    }
    return times;
  });
