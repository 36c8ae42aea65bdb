import type { Browser, Page } from "playwright-core";
import { settled, type Program } from "../tests/support/browser";
import { quantile, table } from "./figures";

const TEXT = "Harbour light over still water, and the boats that never sailed again";

/**
 * From a key going down in the headline to all 14 sizes of the wall repainted.
 * Baseline in the same run: the same key in a plain text field, to the next frame.
 */
export async function benchKeystroke(program: Program, browser: Browser): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${program.url}/pieces/opening-announcement/sizes`);
  await page.getByRole("textbox", { name: "Headline" }).waitFor();
  await settled(page);
  await typeAndTime(page, true); // Once to warm up.
  const wall = await typeAndTime(page, true);
  const plain = await typeAndTime(page, false);
  await page.close();
  const ratio = quantile(wall, 0.5) / quantile(plain, 0.5);
  table(`A keystroke, 14 sizes, ${wall.length} keys`, [
    ["to all sizes repainted, median", `${quantile(wall, 0.5).toFixed(1)} ms`],
    ["to all sizes repainted, p95", `${quantile(wall, 0.95).toFixed(1)} ms`],
    ["plain field to the next frame, median", `${quantile(plain, 0.5).toFixed(1)} ms`],
    ["ratio of the medians", `${ratio.toFixed(1)} ×`],
  ]);
}

/** Types the text key by key and answers the milliseconds that each took. */
const typeAndTime = (page: Page, onWall: boolean): Promise<number[]> =>
  page.evaluate(
    async ({ text, onWall }) => {
      const frame = () => new Promise(requestAnimationFrame);
      const painted = () =>
        new Promise<void>((resolve) => {
          const observer = new PerformanceObserver((list) => {
            if (list.getEntriesByName("wall painted").length === 0) return;
            observer.disconnect();
            resolve();
          });
          observer.observe({ entryTypes: ["measure"] });
        });
      const own = document.querySelector<HTMLTextAreaElement>(".headline textarea")!;
      const field = onWall ? own : document.body.appendChild(document.createElement("textarea"));
      const times: number[] = [];
      field.value = "";
      for (let length = 1; length <= text.length; length++) {
        await frame();
        const done = onWall ? painted() : frame();
        const start = performance.now();
        field.value = text.slice(0, length);
        field.dispatchEvent(new InputEvent("input", { bubbles: true }));
        await done;
        times.push(performance.now() - start);
      }
      if (!onWall) field.remove();
      return times;
    },
    { text: TEXT, onWall },
  );
