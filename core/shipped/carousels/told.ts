import { running } from "../../strip";
import {
  body,
  ground,
  headline,
  logo,
  number,
  picture,
  plate,
  rule,
  set,
  slide,
  words,
} from "./parts";

/** A page of a book: wide margins, a number over each chapter, and nothing that shouts. */
export const book = set({
  id: "slides-book",
  name: "Chapters",
  note: "Reads like a book: a title page, numbered chapters, a last page.",
  purposes: ["tip", "list", "announcement"],
  looks: ["typographic"],
  mood: "light",
  title: {
    words: {
      kicker: "A small book of",
      headline: "Slow mornings",
      support: "Five chapters, one cup of tea",
    },
    arrangement: [
      ground(),
      words("kicker", "kicker", [140, 250, 800, 48], { size: 40, align: "centre" }),
      rule("rule-top", [500, 340, 80, 6]),
      headline([110, 390, 860, 430], { size: 298, align: "centre", valign: "middle" }),
      rule("rule-foot", [500, 866, 80, 6]),
      words("support", "support", [190, 946, 700, 96], { size: 50, align: "centre" }),
      logo([420, 1141, 240, 74]),
    ],
  },
  slides: [
    slide(
      "chapter",
      "point",
      {
        headline: "Put the phone in a drawer",
        body: "Not for ever. For as long as the kettle takes, and then for one more cup. What was urgent will still be there, and so will you.",
      },
      [
        ground(),
        number([140, 130, 800, 90], {
          size: 80,
          align: "centre",
          colour: "action",
          type: "headline",
        }),
        headline([140, 260, 800, 330], { size: 164, align: "left", valign: "bottom" }),
        rule("rule", [140, 626, 80, 6]),
        body([140, 702, 800, 436], { size: 58, leading: 1.42 }),
      ],
    ),
    slide(
      "contents",
      "point",
      { headline: "On the table", list: "- Bread\n- Salt\n- An apple\n- A book" },
      [
        ground(),
        number([140, 130, 800, 90], {
          size: 80,
          align: "centre",
          colour: "action",
          type: "headline",
        }),
        headline([140, 260, 800, 230], { size: 148, valign: "bottom" }),
        rule("rule", [140, 526, 80, 6]),
        words("list", "body", [140, 604, 800, 526], { size: 58 }),
      ],
    ),
    slide("sentence", "point", { headline: "Open the window before you open anything else" }, [
      ground(),
      number([140, 130, 800, 90], {
        size: 80,
        align: "centre",
        colour: "action",
        type: "headline",
      }),
      headline([140, 270, 800, 840], { size: 224, align: "centre", valign: "middle" }),
    ]),
    slide("plate", "point", { headline: "Look up", body: "There is weather." }, [
      ground(),
      picture([140, 120, 800, 620], {}),
      headline([140, 790, 800, 130], { size: 136 }),
      body([140, 974, 800, 166], { size: 58, leading: 1.36 }),
    ]),
    slide(
      "voice",
      "proof",
      { quote: "“I read it twice, and then I went for a walk.”", author: "A reader" },
      [
        ground(),
        words("quote", "quote", [140, 260, 800, 640], {
          size: 138,
          align: "centre",
          valign: "middle",
        }),
        rule("rule", [500, 940, 80, 6]),
        words("author", "byline", [190, 980, 700, 60], { size: 50, align: "centre" }),
      ],
    ),
    slide(
      "last-page",
      "ask",
      {
        headline: "The end, and a beginning",
        "call-to-action": "Read the rest",
        site: "slow.example",
      },
      [
        ground(),
        headline([110, 330, 860, 420], { size: 224, align: "centre", valign: "bottom" }),
        rule("rule", [500, 800, 80, 6]),
        words("body", "body", [190, 874, 700, 96], { size: 44, align: "centre" }),
        words("call-to-action", "cta", [310, 880, 460, 104], { size: 46, align: "centre" }),
        words("site", "site", [190, 1010, 700, 50], { size: 38, align: "centre" }),
      ],
      { turned: true },
    ),
  ],
  running: [{ ...running("page-mark"), pin: { h: "centre", v: "bottom" } }],
});

/** A case in the order in which it happened, with a stripe that goes through from the first slide to the last. */
export const caseInOrder = set({
  id: "slides-case",
  name: "Case in order",
  note: "What was, what was done, what came of it; a stripe ties the slides together.",
  purposes: ["testimonial", "comparison", "statistic"],
  looks: ["typographic"],
  mood: "dark",
  title: {
    words: {
      kicker: "A case",
      headline: "How a bakery sold out by nine",
      support: "Three months, one oven, no advertising",
    },
    arrangement: [
      ground(),
      words("kicker", "kicker", [150, 150, 700, 48], { size: 40 }),
      headline([150, 220, 820, 660], { size: 268, valign: "top" }),
      words("support", "support", [150, 964, 760, 116], { size: 52 }),
      logo([100, 1141, 240, 74]),
    ],
  },
  slides: [
    slide(
      "chapter",
      "context",
      {
        kicker: "What was",
        headline: "Half of the bread came back",
        body: "Every evening the shop carried home what nobody had bought.",
      },
      [
        ground(),
        words("kicker", "kicker", [150, 150, 700, 52], { size: 42, colour: "action" }),
        headline([150, 226, 820, 420], { size: 180, valign: "top" }),
        body([150, 734, 780, 396], { size: 58, leading: 1.36 }),
      ],
    ),
    slide(
      "done",
      "point",
      {
        kicker: "What was done",
        headline: "Bake less, twice",
        body: "One batch at five, one at eight.",
      },
      [
        ground(),
        plate("card", [150, 130, 930, 640], {}),
        words(
          "kicker",
          "kicker",
          [220, 200, 700, 52],
          { size: 42, colour: "on-plate" },
          { on: "card" },
        ),
        headline(
          [220, 276, 760, 430],
          { size: 152, colour: "on-plate", valign: "top" },
          { on: "card" },
        ),
        body([150, 854, 780, 286], { size: 58, leading: 1.36 }),
      ],
    ),
    slide(
      "list",
      "point",
      { kicker: "How", headline: "In this order", list: "- Count\n- Ask\n- Bake\n- Count again" },
      [
        ground(),
        words("kicker", "kicker", [150, 150, 700, 52], { size: 42, colour: "action" }),
        headline([150, 226, 820, 260], { size: 166, valign: "top" }),
        words("list", "body", [150, 574, 780, 566], { size: 58 }),
      ],
    ),
    slide(
      "seen",
      "point",
      { headline: "The second oven", body: "It had stood there all the time." },
      [
        ground(),
        picture([150, 0, 930, 660]),
        headline([150, 710, 820, 220], { size: 154, valign: "top" }),
        body([150, 984, 780, 166], { size: 58, leading: 1.36 }),
      ],
    ),
    slide(
      "result",
      "proof",
      {
        figure: "94 %",
        headline: "sold by nine in the morning",
        body: "Counted over the last six weeks.",
      },
      [
        ground(),
        words("figure", "figure", [150, 170, 860, 400], { size: 360, colour: "action" }),
        headline([150, 610, 820, 260], { size: 154, valign: "top" }),
        body([150, 934, 780, 186], { size: 58 }),
      ],
    ),
    slide("said", "proof", { quote: "“We sleep longer now.”", author: "The baker" }, [
      ground(),
      words("quote", "quote", [150, 200, 820, 700], { size: 188, valign: "middle" }),
      words("author", "byline", [150, 960, 760, 60], { size: 52 }),
    ]),
    slide(
      "ask",
      "ask",
      {
        headline: "Shall we look at yours?",
        "call-to-action": "Write to us",
        site: "early-bread.example",
      },
      [
        ground(),
        headline([150, 200, 820, 560], { size: 240, valign: "middle" }),
        body([150, 802, 780, 78], { size: 58 }),
        words("call-to-action", "cta", [150, 900, 440, 104], { size: 46 }),
        words("site", "site", [150, 1030, 700, 50], { size: 38 }),
      ],
      { turned: true },
    ),
  ],
  running: [running("swipe-cue"), { ...running("page-mark"), pin: { h: "left", v: "bottom" } }],
  across: [
    {
      id: "stripe",
      kind: "shape",
      at: { x: 0, y: 0.976, width: 8, height: 0.024 },
      style: { shape: "rectangle", colour: "action" },
    },
  ],
});
