import { existsSync } from "node:fs";
import { chromium, wholeChromium } from "../scripts/setup.mjs";
import { launch, Program } from "../tests/support/browser";
import { benchAnswers } from "./answers";
import { benchBatch } from "./batch";
import { benchGrowth } from "./growth";
import { benchHand } from "./hand";
import { benchKit } from "./kit";
import { benchLists } from "./lists";
import { benchMemory } from "./memory";
import { benchPixels } from "./pixels";
import { benchRefit } from "./refit";
import { benchKeystroke } from "./keystroke";
import { benchTypesetting } from "./typesetting";
import { benchSlides } from "./slides";
import { benchSubjects } from "./subjects";
import { benchTemplates } from "./templates";

const benches = {
  answers: benchAnswers,
  setting: benchTypesetting,
  keystroke: benchKeystroke,
  batch: benchBatch,
  growth: benchGrowth,
  hand: benchHand,
  kit: benchKit,
  refit: benchRefit,
  lists: benchLists,
  memory: benchMemory,
  pixels: benchPixels,
  slides: benchSlides,
  subjects: benchSubjects,
  templates: benchTemplates,
};
/** Takes long and much room, so it is made only where it is asked for. */
const LARGE = ["growth"];
const wanted = process.argv.slice(2);
const unknown = wanted.find((name) => !(name in benches));
if (unknown !== undefined) {
  console.error(`There is no bench “${unknown}”. Choose from ${Object.keys(benches).join(", ")}.`);
  process.exit(1);
}

const program = await Program.create();
const browser = await launch(existsSync(wholeChromium) ? wholeChromium : chromium.path);
try {
  for (const [name, bench] of Object.entries(benches)) {
    if ((wanted.length === 0 && !LARGE.includes(name)) || wanted.includes(name))
      await bench(program, browser);
  }
} finally {
  await browser.close();
  await program.close();
}
