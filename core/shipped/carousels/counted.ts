import { running } from "../../strip";
import {
  body,
  closing,
  ground,
  headline,
  logo,
  number,
  picture,
  plate,
  rule,
  set,
  shape,
  slide,
  words,
} from "./parts";

/** Step by step: a large number at the corner, and a track along the foot that goes on from slide to slide. */
export const steps = set({
  id: "slides-steps",
  name: "Steps",
  note: "Numbered steps along a track that runs through all slides.",
  purposes: ["step by step", "tip"],
  looks: ["big number"],
  mood: "dark",
  title: {
    words: {
      kicker: "How to",
      headline: "Mend a flat tyre",
      support: "Ten minutes, three tools, clean hands",
    },
    arrangement: [
      ground(),
      words("kicker", "kicker", [100, 150, 700, 60], { size: 52, colour: "action" }),
      headline([100, 230, 880, 600], { size: 326, valign: "top" }),
      words("support", "support", [100, 914, 760, 96], { size: 56 }),
      logo([100, 1141, 240, 74]),
    ],
  },
  slides: [
    slide(
      "step",
      "point",
      { headline: "Take out the wheel", body: "Open the brake first, or it will not come out." },
      [
        ground(),
        number([100, 150, 300, 230], { size: 250, colour: "action", type: "headline", leading: 1 }),
        headline([100, 390, 880, 320], { size: 190, valign: "top" }),
        body([100, 774, 820, 296], { size: 58, leading: 1.36 }),
      ],
    ),
    slide("short", "point", { headline: "Find the hole: it whistles" }, [
      ground(),
      number([100, 150, 300, 230], { size: 250, colour: "action", type: "headline", leading: 1 }),
      headline([100, 390, 880, 680], { size: 248, valign: "top" }),
    ]),
    slide(
      "needed",
      "context",
      { headline: "What you need", list: "- Two levers\n- A patch\n- A pump" },
      [
        ground(),
        headline([100, 150, 880, 260], { size: 190, valign: "bottom" }),
        words("list", "body", [100, 494, 880, 576], { size: 58 }),
      ],
    ),
    slide("shown", "point", { headline: "Pump until it sings", body: "Four bar will do." }, [
      ground(),
      picture([0, 0, 1080, 620]),
      number([100, 520, 200, 200], {
        size: 110,
        type: "headline",
        align: "centre",
        colour: "on-action",
        plate: { colour: "action", padding: 0.35, corner: 1 },
      }),
      headline([100, 740, 880, 170], { size: 154, valign: "top" }),
      body([100, 954, 820, 126], { size: 58 }),
    ]),
    slide(
      "why",
      "context",
      {
        headline: "It is always the back wheel",
        body: "Most of the weight is there, and most of the glass.",
      },
      [
        ground(),
        headline([100, 170, 880, 480], { size: 212, valign: "bottom" }),
        body([100, 734, 820, 336], { size: 58, leading: 1.36 }),
      ],
    ),
    slide(
      "ask",
      "ask",
      {
        headline: "Done. Ride on.",
        "call-to-action": "Save this for later",
        site: "two-wheels.example",
      },
      [
        ground(),
        headline([100, 160, 880, 500], { size: 298, valign: "middle" }),
        body([100, 722, 820, 88], { size: 58 }),
        ...closing(840),
      ],
      { turned: true },
    ),
  ],
  running: [{ ...running("page-mark"), pin: { h: "right", v: "top" } }, running("swipe-cue")],
  across: [
    {
      id: "track",
      kind: "shape",
      at: { x: 0.45, y: 0.868, width: 6.1, height: 0.008 },
      style: { shape: "rectangle", colour: "action" },
    },
  ],
});

/** A list that is counted down, on grounds that change with each slide. */
export const countdown = set({
  id: "slides-countdown",
  name: "Countdown",
  note: "Counts down to the best; every other slide turns its colours round.",
  purposes: ["list", "last chance", "tip"],
  looks: ["big number", "typographic"],
  mood: "bright",
  title: {
    words: { headline: "Five soups, the best one last", support: "Swipe with a spoon in hand" },
    arrangement: [
      ground(),
      shape(
        "sun",
        [700, 900, 640, 640],
        { shape: "ellipse", colour: "ornament" },
        { pin: { h: "right", v: "bottom" } },
      ),
      headline([100, 150, 880, 620], { size: 312, valign: "top" }),
      words("support", "support", [100, 1034, 520, 96], { size: 52 }),
      logo([100, 1141, 240, 74]),
    ],
  },
  slides: [
    slide("even", "point", { headline: "Leek and potato", body: "Never wrong, never loud." }, [
      ground(),
      number(
        [460, 150, 520, 440],
        { size: 560, align: "right", colour: "action", type: "headline", leading: 1 },
        "down",
      ),
      headline([100, 620, 880, 260], { size: 204, valign: "top" }),
      body([100, 944, 800, 186], { size: 58 }),
    ]),
    slide(
      "odd",
      "point",
      { headline: "Pea and mint", body: "Green as a lawn, and gone as fast." },
      [
        ground(),
        number(
          [460, 150, 520, 440],
          { size: 560, align: "right", colour: "action", type: "headline", leading: 1 },
          "down",
        ),
        headline([100, 620, 880, 260], { size: 204, valign: "top" }),
        body([100, 944, 800, 186], { size: 58 }),
      ],
      { turned: true },
    ),
    slide("shown", "point", { headline: "Onion, for hours", body: "With a lid of cheese." }, [
      ground(),
      picture([0, 0, 1080, 720]),
      number(
        [100, 590, 300, 220],
        {
          size: 200,
          colour: "on-action",
          type: "headline",
          plate: { colour: "action", padding: 0.2 },
        },
        "down",
      ),
      headline([100, 840, 880, 150], { size: 164, valign: "top" }),
      body([100, 1022, 800, 98], { size: 58 }),
    ]),
    slide("listed", "point", { headline: "Tomato", list: "- Roast them\n- Add bread\n- Wait" }, [
      ground(),
      number(
        [660, 150, 320, 320],
        { size: 300, align: "right", colour: "action", type: "headline", leading: 1 },
        "down",
      ),
      headline([100, 320, 800, 200], { size: 186, valign: "bottom" }),
      words("list", "body", [100, 604, 880, 506], { size: 58 }),
    ]),
    slide("ask", "ask", { headline: "Which one first?", "call-to-action": "Tell us below" }, [
      ground(),
      shape(
        "sun",
        [700, 900, 640, 640],
        { shape: "ellipse", colour: "ornament" },
        { pin: { h: "right", v: "bottom" } },
      ),
      headline([100, 150, 880, 520], { size: 298, valign: "top" }),
      body([100, 734, 620, 116], { size: 58 }),
      ...closing(880),
    ]),
  ],
  running: [{ ...running("handle"), first: false }, running("swipe-cue")],
});

/** Figures that fill the width, each with what it counts. */
export const figures = set({
  id: "slides-figures",
  name: "In figures",
  note: "One large figure a slide, with what it says beneath.",
  purposes: ["statistic", "thank-you", "comparison"],
  looks: ["big number"],
  mood: "light",
  title: {
    words: {
      kicker: "The year in",
      headline: "Numbers we like",
      support: "Counted by hand, more or less",
    },
    arrangement: [
      ground(),
      plate("band", [0, 0, 1080, 860]),
      words(
        "kicker",
        "kicker",
        [100, 150, 800, 56],
        { size: 48, colour: "on-plate" },
        { on: "band" },
      ),
      headline(
        [100, 226, 880, 560],
        { size: 256, colour: "on-plate", valign: "bottom" },
        { on: "band" },
      ),
      words("support", "support", [100, 954, 800, 106], { size: 56 }),
      logo([100, 1141, 240, 74]),
    ],
  },
  slides: [
    slide(
      "figure",
      "proof",
      { figure: "1 204", headline: "jars filled", body: "Of which eleven were dropped." },
      [
        ground(),
        words("figure", "figure", [100, 190, 880, 460], {
          size: 420,
          colour: "action",
          valign: "bottom",
        }),
        rule("rule", [100, 680, 880, 8]),
        headline([100, 720, 880, 200], { size: 166, valign: "top" }),
        body([100, 964, 820, 146], { size: 58 }),
      ],
    ),
    slide(
      "figure-turned",
      "proof",
      { figure: "38 %", headline: "more strawberries than last year" },
      [
        ground(),
        headline([100, 160, 880, 330], { size: 166, valign: "top" }),
        words("figure", "figure", [100, 560, 880, 470], {
          size: 440,
          colour: "action",
          valign: "bottom",
        }),
        body([100, 1072, 820, 70], { size: 58 }),
      ],
      { turned: true },
    ),
    slide(
      "told",
      "point",
      { headline: "What the jars taught us", body: "Labels first. Lids second. Tea third." },
      [
        ground(),
        plate("band", [0, 0, 1080, 640]),
        headline(
          [100, 150, 880, 430],
          { size: 170, colour: "on-plate", valign: "bottom" },
          { on: "band" },
        ),
        body([100, 734, 820, 366], { size: 58, leading: 1.36 }),
      ],
    ),
    slide(
      "listed",
      "point",
      { headline: "Also counted", list: "- 9 wasps\n- 3 wooden spoons\n- 1 cat" },
      [
        ground(),
        plate("band", [0, 0, 1080, 480]),
        headline(
          [100, 130, 880, 290],
          { size: 158, colour: "on-plate", valign: "bottom" },
          { on: "band" },
        ),
        words("list", "body", [100, 574, 880, 526], { size: 58 }),
      ],
    ),
    slide(
      "shown",
      "proof",
      { headline: "The cat, counted once", body: "It would not be counted twice." },
      [
        ground(),
        picture([0, 0, 1080, 680]),
        headline([100, 730, 880, 200], { size: 162, valign: "top" }),
        body([100, 974, 820, 136], { size: 58 }),
      ],
    ),
    slide(
      "ask",
      "ask",
      {
        headline: "Thank you for every one of them",
        "call-to-action": "Order a jar",
        site: "jars.example",
      },
      [
        ground(),
        headline([100, 160, 880, 560], { size: 240, valign: "middle" }),
        body([100, 762, 820, 78], { size: 58 }),
        ...closing(860),
      ],
      { turned: true },
    ),
  ],
  running: [
    { ...running("handle"), first: false },
    { ...running("page-mark"), pin: { h: "centre", v: "bottom" } },
    running("swipe-cue"),
  ],
});
