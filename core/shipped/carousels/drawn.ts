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
  set,
  shape,
  slide,
  words,
} from "./parts";

/** A recipe: what it is, what goes in, what is done, and somebody to eat it. */
export const recipe = set({
  id: "slides-recipe",
  name: "Recipe",
  note: "The dish, what goes in, what is done in numbered steps, and an invitation.",
  purposes: ["step by step", "list", "tip"],
  looks: ["framed", "label"],
  mood: "light",
  title: {
    words: {
      kicker: "Recipe",
      headline: "Plum cake",
      support: "For eight, or for two who mean it",
    },
    arrangement: [
      ground(),
      picture([100, 110, 880, 640], { frame: "arch" }),
      words("kicker", "kicker", [100, 790, 880, 50], {
        size: 42,
        align: "centre",
        colour: "action",
      }),
      headline([100, 850, 880, 190], { size: 240, align: "centre", valign: "middle" }),
      words("support", "support", [140, 1072, 800, 70], { size: 50, align: "centre" }),
      logo([420, 1141, 240, 74]),
    ],
  },
  slides: [
    slide(
      "goes-in",
      "context",
      {
        headline: "What goes in",
        list: "- 1 kg plums\n- 250 g flour\n- 3 eggs\n- Butter, and then some",
      },
      [
        ground(),
        plate("card", [100, 120, 880, 1010], { corner: 36 }),
        headline(
          [160, 190, 760, 180],
          { size: 126, colour: "on-plate", valign: "bottom" },
          { on: "card" },
        ),
        words(
          "list",
          "body",
          [160, 454, 760, 606],
          { size: 54, colour: "on-plate" },
          { on: "card" },
        ),
      ],
    ),
    slide(
      "step",
      "point",
      {
        headline: "Halve the plums",
        body: "Lay them open side up, close together, like people on a bench.",
      },
      [
        ground(),
        number([440, 130, 200, 200], {
          size: 120,
          type: "headline",
          align: "centre",
          colour: "on-action",
          plate: { colour: "action", padding: 0.35, corner: 1 },
        }),
        headline([120, 370, 840, 300], { size: 174, align: "centre", valign: "middle" }),
        body([150, 744, 780, 366], { size: 58, align: "centre", leading: 1.36 }),
      ],
    ),
    slide("short", "point", { headline: "Bake until the kitchen smells of it" }, [
      ground(),
      number([440, 130, 200, 200], {
        size: 120,
        type: "headline",
        align: "centre",
        colour: "on-action",
        plate: { colour: "action", padding: 0.35, corner: 1 },
      }),
      headline([110, 380, 860, 700], { size: 224, align: "centre", valign: "middle" }),
    ]),
    slide("shown", "point", { headline: "Let it rest", body: "So should you." }, [
      ground(),
      picture([100, 110, 880, 640], { frame: "arch" }),
      headline([100, 800, 880, 150], { size: 166, align: "centre", valign: "middle" }),
      body([140, 994, 800, 116], { size: 58, align: "centre" }),
    ]),
    slide(
      "ask",
      "ask",
      {
        headline: "Who gets the first slice?",
        "call-to-action": "Keep the recipe",
        site: "plum-cakes.example",
      },
      [
        ground(),
        headline([110, 190, 860, 520], { size: 240, align: "centre", valign: "middle" }),
        body([140, 752, 800, 78], { size: 58, align: "centre" }),
        words("call-to-action", "cta", [290, 860, 500, 104], { size: 46, align: "centre" }),
        words("site", "site", [190, 990, 700, 50], { size: 38, align: "centre" }),
      ],
      { turned: true },
    ),
  ],
  running: [
    { ...running("page-mark"), pin: { h: "right", v: "bottom" } },
    { ...running("handle"), first: false },
  ],
});

/** The box that the line is drawn in: seven slides wide. */
const LINE = { width: 700, height: 100, thick: 6, steps: 420 } as const;

/** A line that rises and falls, in short straight steps that end at the folds of a strip of 4, 5, 6, 7 or 10 slides: none is cut. */
function wandering(): string {
  const y = (x: number): number =>
    47 + 24 * Math.sin(x / 48) + 15 * Math.sin(x / 29 + 2) + 5 * Math.sin(x / 97);
  const steps = Array.from({ length: LINE.steps + 1 }, (_, i) => (i * LINE.width) / LINE.steps);
  const point = (x: number, down: number): string =>
    `${Number(x.toFixed(3))} ${(y(x) + down).toFixed(2)}`;
  const there = steps.map((x) => point(x, -LINE.thick / 2));
  const back = steps.toReversed().map((x) => point(x, LINE.thick / 2));
  return `M${[...there, ...back].join("L")}Z`;
}

/** One line that is drawn on through all slides. */
export const oneLine = set({
  id: "slides-one-line",
  name: "One line",
  note: "A single drawn line wanders through all slides; the words stand over it.",
  purposes: ["launch", "announcement", "hiring"],
  looks: ["pattern", "typographic"],
  mood: "bright",
  title: {
    words: { headline: "Where we go from here", support: "Follow the line" },
    arrangement: [
      ground(),
      headline([100, 140, 880, 560], { size: 298, valign: "top" }),
      words("support", "support", [100, 742, 700, 70], { size: 58 }),
      logo([100, 1141, 240, 74]),
    ],
  },
  slides: [
    slide(
      "told",
      "point",
      { headline: "First, a smaller shop", body: "With a larger window, and somebody in it." },
      [
        ground(),
        headline([100, 140, 880, 320], { size: 190, valign: "top" }),
        body([100, 524, 820, 286], { size: 58, leading: 1.36 }),
      ],
    ),
    slide("line", "point", { headline: "Then fewer things, made better" }, [
      ground(),
      headline([100, 140, 880, 660], { size: 254, valign: "top" }),
    ]),
    slide(
      "listed",
      "point",
      { headline: "Then, in this order", list: "- Chairs\n- Tables\n- Sleep" },
      [
        ground(),
        headline([100, 140, 880, 240], { size: 166, valign: "top" }),
        words("list", "body", [100, 444, 880, 366], { size: 58 }),
      ],
    ),
    slide("shown", "point", { headline: "Here", body: "Between the baker and the river." }, [
      ground(),
      picture([100, 110, 880, 440], { corner: 0, frame: "pebble" }),
      headline([100, 580, 880, 130], { size: 148, valign: "top" }),
      body([100, 737, 820, 78], { size: 58 }),
    ]),
    slide("said", "proof", { quote: "“I would sit there all day.”", author: "A chair maker" }, [
      ground(),
      words("quote", "quote", [100, 140, 880, 560], { size: 176, valign: "top" }),
      words("author", "byline", [100, 730, 820, 60], { size: 50 }),
    ]),
    slide(
      "ask",
      "ask",
      { headline: "Come in", "call-to-action": "See the plan", site: "chairs.example" },
      [
        ground(),
        headline([100, 140, 880, 320], { size: 312, valign: "top" }),
        body([100, 502, 820, 70], { size: 58 }),
        ...closing(590),
      ],
    ),
  ],
  running: [{ ...running("handle"), first: false }, running("swipe-cue")],
  across: [
    {
      id: "line",
      kind: "shape",
      at: { x: 0, y: 0.63, width: 7, height: 0.25 },
      style: {
        shape: "path",
        colour: "action",
        path: { d: wandering(), width: LINE.width, height: LINE.height },
      },
    },
  ],
});
/** What people said: a bubble on each slide, from one side and from the other. */
export const voices = set({
  id: "slides-voices",
  name: "Voices",
  note: "A quotation a slide, in bubbles that answer each other.",
  purposes: ["testimonial", "quote", "thank-you"],
  looks: ["label", "typographic"],
  mood: "bright",
  title: {
    words: { headline: "What you said about us", support: "Read out loud, with thanks" },
    arrangement: [
      ground(),
      plate("bubble", [100, 130, 880, 760], { shape: "speech" }),
      headline(
        [170, 190, 740, 540],
        { size: 208, colour: "on-plate", valign: "middle" },
        { on: "bubble" },
      ),
      words("support", "support", [100, 962, 800, 98], { size: 52 }),
      logo([100, 1141, 240, 74]),
    ],
  },
  slides: [
    slide(
      "left",
      "proof",
      { quote: "“The lamp is wonderful. So is the dog.”", author: "Mira, Tuesday" },
      [
        ground(),
        plate("bubble", [100, 130, 880, 860], { shape: "speech" }),
        words(
          "quote",
          "quote",
          [170, 190, 740, 620],
          { size: 148, colour: "on-plate", valign: "middle" },
          { on: "bubble" },
        ),
        words("author", "byline", [100, 1030, 760, 60], { size: 50, weight: 600 }),
      ],
    ),
    slide(
      "right",
      "proof",
      {
        quote: "“I came for a screw and left with a shelf.”",
        author: "Jonas, who had been warned",
      },
      [
        ground(),
        words("quote", "quote", [100, 200, 880, 720], {
          size: 176,
          align: "right",
          valign: "middle",
        }),
        shape("bar", [900, 960, 80, 12], { colour: "action", shape: "rectangle" }),
        words("author", "byline", [220, 1000, 760, 60], { size: 50, weight: 600, align: "right" }),
      ],
      { turned: true },
    ),
    slide("face", "proof", { quote: "“They remembered my name.”", author: "Ida" }, [
      ground(),
      picture([100, 130, 400, 400], { frame: "ellipse" }),
      words("quote", "quote", [100, 580, 880, 400], { size: 138, valign: "top" }),
      words("author", "byline", [100, 1010, 760, 60], { size: 50, weight: 600 }),
    ]),
    slide(
      "between",
      "point",
      { headline: "And what we learned", body: "That opening at eight is too late." },
      [
        ground(),
        headline([100, 170, 880, 460], { size: 224, valign: "bottom" }),
        body([100, 714, 820, 346], { size: 58, leading: 1.36 }),
      ],
    ),
    slide(
      "listed",
      "point",
      { headline: "What comes next", list: "- Longer hours\n- A bench\n- More dogs" },
      [
        ground(),
        headline([100, 170, 880, 280], { size: 178, valign: "bottom" }),
        words("list", "body", [100, 534, 880, 526], { size: 58 }),
      ],
    ),
    slide(
      "ask",
      "ask",
      { headline: "Your turn", "call-to-action": "Tell us", site: "lamps-and-shelves.example" },
      [
        ground(),
        plate("bubble", [100, 130, 880, 700], { shape: "speech" }),
        headline(
          [170, 190, 740, 480],
          { size: 232, colour: "on-plate", valign: "middle" },
          { on: "bubble" },
        ),
        body([100, 872, 800, 70], { size: 58 }),
        ...closing(930),
      ],
    ),
  ],
  running: [{ ...running("page-mark"), pin: { h: "left", v: "bottom" } }, running("swipe-cue")],
});
