import { availableParallelism } from "node:os";
import type { Browser, Page } from "playwright-core";
import sharp from "sharp";
import { isUnderWay, type DeliveryAnswer, type PieceAnswer } from "../core/api";
import { editTo } from "../core/edit";
import type { Piece } from "../core/piece";
import { settled, type Program } from "../tests/support/browser";
import { quantile, table } from "./figures";

const SLIDES = 10;
const KEYS = 24;
const ROUNDS = 3;
/** At twice this size a slide has 2160 × 2700 pixels. */
const SIZES = ["photo-feed-tall", "photo-feed-square"];
const OUTLINE = Array.from(
  { length: SLIDES },
  (_, at) => `# What the tide brings, ${at + 1}\n\nBoats, nets and the people who mend them.`,
).join("\n\n");

/**
 * A strip of ten slides with a photograph across four of them, on two sizes: what follows a keystroke, and its export as PNG.
 * Baselines in the same run: a key in a plain field to the next frame; encoding the same pixels with sharp alone.
 */
export async function benchSlides(program: Program, browser: Browser): Promise<void> {
  const strip = await begun(program);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${program.url}/pieces/${strip.id}/message`);
  await page.getByRole("textbox", { name: "Headline" }).waitFor();
  await settled(page);
  await keys(page, ".headline textarea"); // Once to warm up.
  const one = await keys(page, ".headline textarea");
  const plain = await keys(page, undefined);
  const all = await everySlide(page);
  await page.close();

  const rounds: { ours: number; floor: number }[] = [];
  for (let round = 0; round < ROUNDS; round++)
    rounds.push({
      ours: await exported(program, strip.id),
      floor: await encoded(program, strip.id),
    });
  const ours = quantile(
    rounds.map((round) => round.ours),
    0.5,
  );
  const share = quantile(
    rounds.map((round) => round.floor / round.ours),
    0.5,
  );
  table(`A strip of ${SLIDES} slides, ${SIZES.length} sizes`, [
    [
      "a key in a slide's headline, to all repainted, median",
      `${quantile(one, 0.5).toFixed(0)} ms`,
    ],
    ["  p95", `${quantile(one, 0.95).toFixed(0)} ms`],
    ["  against a plain field", `${(quantile(one, 0.5) / quantile(plain, 0.5)).toFixed(1)} ×`],
    ["what runs through all slides, to all repainted", `${all.toFixed(0)} ms`],
    [`${SLIDES} slides of 2160 × 2700 as PNG`, `${ours.toFixed(1)} s`],
    ["  of that, encoding alone", `${(100 * share).toFixed(0)} %`],
  ]);
}

async function begun(program: Program): Promise<Piece> {
  const { piece } = await program.ask<PieceAnswer>("/api/crates/to-swipe/pieces", {
    template: "slides-panorama",
    outline: OUTLINE,
    pictures: ["d0a39f90b23d7139e9634d6767dd26de39a38e3cb68885971addc530149498f0"],
  });
  const sizes = SIZES.map((placement) => ({ placement, changes: {} }));
  const edit = editTo(piece, { ...piece, sizes });
  if (edit) await program.ask(`/api/pieces/${piece.id}/edits`, { edit });
  return piece;
}

/** Types into a field, or into a plain one, and answers the milliseconds until nothing waits to be painted. */
const keys = (page: Page, field: string | undefined): Promise<number[]> =>
  page.evaluate(
    async ({ field, count }) => {
      const frame = () => new Promise(requestAnimationFrame);
      const isBusy = () => document.querySelector("canvas[aria-busy=true]") !== null;
      const input = field
        ? document.querySelector<HTMLTextAreaElement>(field)!
        : document.body.appendChild(document.createElement("textarea"));
      const times: number[] = [];
      for (let key = 0; key < count; key++) {
        await frame();
        const start = performance.now();
        input.value = "Harbour light over still water".slice(0, 7 + key);
        input.dispatchEvent(new InputEvent("input", { bubbles: true }));
        await frame();
        while (isBusy()) await frame();
        times.push(performance.now() - start);
        await new Promise((resolve) => setTimeout(resolve, 300));
      }
      if (!field) input.remove();
      return times;
    },
    { field, count: KEYS },
  );

/** Milliseconds from a press that changes every slide until all are painted. */
async function everySlide(page: Page): Promise<number> {
  const times: number[] = [];
  for (let press = 0; press < 6; press++) {
    await page.waitForTimeout(500);
    times.push(
      await page.evaluate(async () => {
        const frame = () => new Promise(requestAnimationFrame);
        const boxes = [...document.querySelectorAll<HTMLElement>("[role=checkbox]")];
        const site = boxes.find(({ textContent }) => textContent?.trim() === "Site")!;
        const start = performance.now();
        site.click();
        await frame();
        while (document.querySelector("canvas[aria-busy=true]")) await frame();
        return performance.now() - start;
      }),
    );
  }
  return quantile(times, 0.5);
}

async function delivery(program: Program, id: string): Promise<DeliveryAnswer> {
  const request = { sizes: SIZES.slice(0, 1), format: "png", scale: 2 };
  let now = await program.ask<DeliveryAnswer>(`/api/pieces/${id}/deliveries`, request);
  while (isUnderWay(now.state)) {
    await new Promise((resolve) => setTimeout(resolve, 50));
    now = await program.ask<DeliveryAnswer>(`/api/deliveries/${now.id}`);
  }
  if (now.state !== "done") throw new Error(`The delivery ${now.state}: ${now.message}`);
  return now;
}

/** Seconds from asking for the slides until their zip is there. */
async function exported(program: Program, id: string): Promise<number> {
  const start = performance.now();
  await delivery(program, id);
  return (performance.now() - start) / 1000;
}

/** Seconds that sharp alone takes to encode as many pixels, on as many threads. */
async function encoded(program: Program, id: string): Promise<number> {
  const answer = await fetch(`${program.url}/api/pieces/${id}/slides?format=png`);
  const long = sharp(Buffer.from(await answer.arrayBuffer()), { limitInputPixels: false });
  const { width, height } = await long.metadata();
  const raws = await Promise.all(
    Array.from({ length: SLIDES }, (_, at) => {
      const wide = Math.floor(width / SLIDES);
      const one = { left: at * wide, top: 0, width: wide, height };
      return long.clone().extract(one).resize(2160, 2700).removeAlpha().raw().toBuffer();
    }),
  );
  const raw = { width: 2160, height: 2700, channels: 3 } as const;
  let next = 0;
  const worker = async () => {
    while (next < raws.length) await sharp(raws[next++]!, { raw }).png().toBuffer();
  };
  const start = performance.now();
  await Promise.all(Array.from({ length: availableParallelism() }, worker));
  return (performance.now() - start) / 1000;
}
