import type { Browser, Page } from "playwright-core";
import { snapped } from "../core/arranging";
import { box } from "../core/geometry";
import { settled, type Program } from "../tests/support/browser";
import { quantile, table } from "./figures";

const MOVES = 120;
const SNAPS = 2000;
const UNDOES = 5;

/** How a node follows the hand on the lead of a piece with 14 sizes, and when the others have followed. */
export async function benchHand(program: Program, browser: Browser): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${program.url}/pieces/opening-announcement/sizes`);
  await settled(page);
  await page.getByRole("button", { name: /^Photo feed, tall, / }).press("Enter");
  await settled(page);
  const still = await frames(page, false);
  const dragging = await frames(page, true);
  const others = await followed(page);
  await page.mouse.up();
  await settled(page);
  const undo = await undone(page);
  const move = perSnap();
  table("By hand, 14 sizes", [
    ["a frame while the pointer moves, p95", `${still.toFixed(1)} ms`],
    ["a frame while it drags the headline, p95", `${dragging.toFixed(1)} ms`],
    ["  against only moving", `${(dragging / still).toFixed(2)} ×`],
    ["the other sizes, after the hand rests", `${others.toFixed(0)} ms`],
    ["undo, until the large size is painted", `${undo.large.toFixed(0)} ms`],
    ["undo, until all fourteen are", `${undo.all.toFixed(0)} ms`],
    ["snapping among 60 boxes, a move", `${(1000 * move).toFixed(0)} µs, of 8 ms at most`],
  ]);
  await page.close();
}

/** The 95th percentile of the time between frames, in ms, while the pointer is moved over the headline. */
async function frames(page: Page, pressed: boolean): Promise<number> {
  const { x, y, width, height } = (await page.locator(".surface").boundingBox())!;
  const from = { x: x + 0.25 * width, y: y + 0.75 * height };
  await page.mouse.move(from.x, from.y);
  if (pressed) await page.mouse.down();
  const gaps = page.evaluate(async (count) => {
    const found: number[] = [];
    let last = performance.now();
    while (found.length < count) {
      await new Promise(requestAnimationFrame);
      found.push(performance.now() - last);
      last = performance.now();
    }
    return found;
  }, MOVES);
  for (let move = 0; move < MOVES; move++) {
    const turn = (2 * Math.PI * move) / MOVES;
    await page.mouse.move(from.x + 40 * Math.sin(turn), from.y - 40 + 40 * Math.cos(turn));
  }
  return quantile(await gaps, 0.95);
}

/** Milliseconds from a last move until the sizes in the row are painted with it. */
async function followed(page: Page): Promise<number> {
  const { x, y, width, height } = (await page.locator(".surface").boundingBox())!;
  await page.waitForTimeout(500);
  await page.evaluate(() => performance.clearMeasures("wall painted"));
  await page.mouse.move(x + 0.3 * width, y + 0.5 * height);
  const moved = await page.evaluate(() => performance.now());
  await page.waitForTimeout(600);
  const painted = await page.evaluate(() =>
    performance.getEntriesByName("wall painted").map((one) => one.startTime + one.duration),
  );
  return Math.max(...painted) - moved;
}

/** Milliseconds from the keys until the large size is painted as it was, and until all sizes are; the median of some. */
async function undone(page: Page): Promise<{ large: number; all: number }> {
  const took: { large: number; all: number }[] = [];
  for (let turn = 0; turn < UNDOES; turn++) {
    took.push(await pressed(page, "Control+z"));
    await pressed(page, "Control+Shift+z");
  }
  return {
    large: quantile(
      took.map(({ large }) => large),
      0.5,
    ),
    all: quantile(
      took.map(({ all }) => all),
      0.5,
    ),
  };
}

async function pressed(page: Page, keys: string): Promise<{ large: number; all: number }> {
  await page.evaluate(() => {
    performance.clearMeasures("wall painted");
    performance.clearMarks("pressed");
    addEventListener("keydown", () => performance.mark("pressed"), { capture: true });
  });
  await page.keyboard.press(keys);
  await page.waitForTimeout(800);
  const [from, painted] = await page.evaluate(() => [
    performance.getEntriesByName("pressed").at(-1)!.startTime,
    performance.getEntriesByName("wall painted").map((one) => one.startTime + one.duration),
  ]);
  return { large: Math.min(...painted) - from, all: Math.max(...painted) - from };
}

/** Milliseconds that one move takes to find what it snaps to. */
function perSnap(): number {
  const frame = box(0, 0, 1080, 1350);
  const others = Array.from({ length: 60 }, (_, i) => box((i * 97) % 900, (i * 61) % 1200, 60, 30));
  const targets = { frame, margin: frame, safe: frame, others };
  const from = performance.now();
  for (let i = 0; i < SNAPS; i++) snapped(box(i % 900, (3 * i) % 1200, 120, 60), targets, 16);
  return (performance.now() - from) / SNAPS;
}
