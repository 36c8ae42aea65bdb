import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import type axe from "axe-core";
import type { Page } from "playwright-core";

const script = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

/**
 * What axe finds on a page as it is, each with where it is. It runs in the page itself: gone through frame by frame,
 * with all that is right listed as well, a page takes four times as long.
 */
export async function findings(page: Page): Promise<string[]> {
  await page.evaluate(script);
  return page.evaluate(async () => {
    const { axe: here } = globalThis as unknown as { axe: typeof axe };
    const { violations } = await here.run(document, { resultTypes: ["violations"] });
    return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(", ")}`);
  });
}
