import { join } from "node:path";
import type { Page } from "playwright-core";
import type { BatchAnswer } from "../core/api";
import { choose, launch, Program, settled } from "../tests/support/browser";
import { root } from "../tests/support/demo";

const TABLE = `headline\tsupport
Boats at rest\tHarbour photographs from 1868 to 1931
Harbour light\tHow the first cameras saw the sea
Still water\tForty glass negatives
The quiet fleet\tHarbour photographs from 1868 to 1931
Tied up and waiting\tWhat a harbour does in winter
Low tide\tBoats and the people who mended them`;

const MESSAGE = `EXHIBITION
A winter of small boats
Models made by keepers of lighthouses
Saturday 5 December, 10:00
€ 6
Come and look`;

async function makeBatch(page: Page): Promise<void> {
  await page.getByLabel("Paste a table").fill(TABLE);
  await page.getByRole("button", { name: "Use this table" }).click();
  await page.getByRole("button", { name: "Make batch" }).click();
  await page.getByText("18 of 18 files").waitFor();
}

const quay = "/pieces/along-the-quay/message";
const post = "/pieces/opening-announcement";
/** The page of the demo's batch, once all of it is there. */
async function made(from: Program): Promise<string> {
  for (;;) {
    const { batches } = await from.ask<{ batches: BatchAnswer[] }>(
      "/api/pieces/late-opening/batches",
    );
    const [batch] = batches;
    if (batch && batch.made === batch.files) return `/batches/${batch.id}`;
    await new Promise((resolve) => setTimeout(resolve, 500));
  }
}

const shots: { name: string; path: string; act?: (page: Page) => Promise<void> }[] = [
  { name: "crates", path: "/" },
  {
    name: "new-piece",
    path: "/crates/boats-at-rest/new",
    act: async (page) => {
      await page.getByLabel("What should it say?").fill(MESSAGE);
      await page.waitForTimeout(1200);
    },
  },
  {
    name: "carousels",
    path: "/templates?kind=carousel",
    act: async (page) => {
      await choose(page, "Shown in", "Saltlight Swim Club");
      await page.waitForTimeout(1200);
    },
  },
  {
    name: "storage",
    path: "/storage",
    act: async (page) => {
      await page.getByText("Put a backup back").waitFor();
    },
  },
  {
    name: "message",
    path: `${post}/message`,
    act: async (page) => {
      await page.getByText("Filters", { exact: true }).click();
      await page.getByLabel("Headline").click();
      await page.getByRole("button", { name: "Save as alternative" }).click();
      await page.keyboard.type("Boats, at rest");
    },
  },
  { name: "sizes", path: `${post}/sizes` },
  {
    name: "bench",
    path: "/pieces/late-opening/sizes",
    act: async (page) => {
      await page.getByRole("button", { name: /^Photo feed, tall, / }).press("Enter");
      await settled(page);
      await page.keyboard.press("g");
      const list = page.getByRole("region", { name: "Everything on this size" });
      await list.getByRole("button", { name: "Headline", exact: true }).click();
    },
  },
  {
    name: "placements",
    path: "/placements",
    act: async (page) => {
      await page.getByRole("button", { name: "Safe area of Pinboard, tall: " }).click();
      await page.getByLabel("Margin, px").fill("140");
      await page.locator("aside canvas").first().waitFor();
      await page.locator("aside .users").scrollIntoViewIfNeeded();
    },
  },
  {
    name: "look",
    path: "/pieces/family-workshop/look",
    act: async (page) => {
      await page.getByRole("button", { name: /^Pin / }).first().waitFor();
      for (let round = 0; round < 4; round++) await page.keyboard.press("n");
      await page
        .getByRole("region", { name: "Other arrangements" })
        .evaluate((section) => section.scrollIntoView());
    },
  },
  { name: "batch", path: `${post}/batch`, act: makeBatch },
  {
    name: "preflight",
    path: "/pieces/late-opening/preflight",
    act: (page) => page.locator(".entry .n-button").first().click(),
  },
  {
    name: "deliver",
    path: `${post}/deliver`,
    act: async (page) => {
      await page.getByRole("button", { name: /Make a zip/ }).click();
      await page.getByRole("link", { name: "Download" }).first().waitFor();
    },
  },
  {
    name: "pictures",
    path: "/pictures",
    act: async (page) => {
      await page.getByRole("button", { name: "harbour-boats.jpg" }).click();
      await page.waitForTimeout(600);
    },
  },
  { name: "brand", path: "/brands/quillmere" },
  {
    name: "specimen",
    path: "/brands/quillmere/specimen",
    act: async (page) => {
      await page.getByRole("button", { name: "Setting" }).click();
      await page.getByRole("img", { name: "Setting" }).waitFor();
    },
  },
  {
    name: "slides",
    path: quay,
    act: (page) => page.getByRole("button", { name: "Slide 2", exact: true }).click(),
  },
];

// The demo's own batch is made and measured before it is looked at.
process.env.ZEST_BATCHES = "yes";
const program = await Program.create();
const demoBatch = await made(program);
shots.push(
  {
    name: "contact-sheet",
    path: demoBatch,
    act: async (page) => {
      await page.getByText("still to be measured").waitFor({ state: "hidden" });
      await page.locator(".tile").nth(3).click();
      for (const key of ["k", "k", "m", "d", "h"]) await page.keyboard.press(key);
      await choose(page, "Order", "My weights");
      await page.waitForTimeout(1200);
    },
  },
  {
    name: "compare",
    path: demoBatch,
    act: async (page) => {
      await choose(page, "Size", "Photo feed, square");
      await page.getByText(/is first|still to be measured/).waitFor({ state: "hidden" });
      for (const at of [0, 16, 32]) {
        await page
          .locator(".tile")
          .nth(at)
          .click({ modifiers: ["Control"] });
      }
      await page.getByRole("button", { name: "Compare 3" }).click();
      await page.waitForTimeout(1200);
    },
  },
  {
    name: "results",
    path: demoBatch,
    act: async (page) => {
      await page.getByText("Results", { exact: true }).click();
      await page.getByRole("heading", { name: "Headline" }).waitFor();
    },
  },
);
const browser = await launch();
const named = process.argv.slice(2);
for (const { name, path, act } of shots) {
  if (named.length > 0 && !named.includes(name)) continue;
  const page = await browser.newPage({
    viewport: { width: 1280, height: 800 },
  });
  await page.goto(`${program.url}${path}`);
  await page.waitForTimeout(800);
  await settled(page);
  await act?.(page);
  await page.mouse.move(0, 0);
  await settled(page);
  await page.screenshot({ path: join(root, "docs/screenshots", `${name}.png`) });
  await page.close();
}
await browser.close();
await program.close();
