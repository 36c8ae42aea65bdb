import { Program } from "./tests/support/browser.ts";
import { mochaGlobalSetup } from "./tests/support/seeded.mjs";
import { chromium } from "playwright-core";
import { chromium as installed } from "./scripts/setup.mjs";
await mochaGlobalSetup();
const p = await Program.create("few");
await new Promise((r) => setTimeout(r, 3000));
console.log(installed.path);
const c = await chromium.launchPersistentContext("/tmp/h/udd" + Date.now(), {
  executablePath: installed.path,
  args: [
    "--headless",
    "--no-sandbox",
    "--disable-gpu",
    ...(process.argv[2] ? [process.argv[2]] : []),
  ],
  viewport: { width: 1280, height: 800 },
  reducedMotion: "reduce",
});
for (const path of [
  "/pieces/opening-announcement/sizes",
  "/pieces/opening-announcement/sizes",
  "/pieces/opening-announcement/sizes",
  "/pieces/opening-announcement/sizes",
  "/",
  "/",
  "/",
]) {
  const page = await c.newPage();
  const s = await c.newCDPSession(page);
  await s.send("Performance.enable");
  const t = performance.now();
  await page.goto(p.url + path);
  await page.waitForLoadState("networkidle");
  const m = (await s.send("Performance.getMetrics")).metrics;
  console.log(
    path,
    "idle",
    Math.round(performance.now() - t),
    m
      .filter((x) =>
        ["ScriptDuration", "TaskDuration", "LayoutDuration", "ProcessTime"].includes(x.name),
      )
      .map((x) => x.name + " " + x.value.toFixed(2))
      .join(", "),
  );
  await page.close();
  await new Promise((r) => setTimeout(r, 1000));
}
await c.close();
await p.close();
process.exit(0);
