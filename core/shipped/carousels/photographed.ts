import { running } from "../../strip";
import { body, closing, ground, headline, logo, picture, plate, set, slide, words } from "./parts";

/** Pictures edge to edge, with a line beneath or on each. */
export const pictureStory = set({
  id: "slides-pictures",
  name: "Picture story",
  note: "A photograph on every slide, edge to edge, with what it shows.",
  purposes: ["announcement", "event", "launch"],
  looks: ["photographic"],
  mood: "dark",
  title: {
    words: {
      kicker: "A story in pictures",
      headline: "A day on the water",
      support: "From the first light to the last boat",
    },
    arrangement: [
      ground(),
      picture([0, 0, 1080, 1350]),
      words("kicker", "kicker", [100, 730, 800, 50], { size: 42 }),
      headline([100, 790, 880, 270], { size: 224, valign: "top" }),
      words("support", "support", [100, 1072, 800, 60], { size: 50 }),
      logo([100, 1141, 240, 74]),
    ],
  },
  slides: [
    slide("full", "point", { headline: "Six o’clock", body: "Nobody else is up." }, [
      ground(),
      picture([0, 0, 1080, 1350]),
      headline([100, 800, 880, 180], { size: 186, valign: "bottom" }),
      body([100, 1042, 820, 98], { size: 58 }),
    ]),
    slide("framed", "point", { headline: "Tea", body: "Out of the lid, as always." }, [
      ground(),
      picture([100, 110, 880, 720]),
      headline([100, 870, 880, 150], { size: 164, valign: "top" }),
      body([100, 1052, 820, 88], { size: 58 }),
    ]),
    slide("beside", "point", { headline: "The gulls know", body: "They always do." }, [
      ground(),
      headline([100, 150, 880, 180], { size: 120, valign: "middle" }),
      body([100, 392, 820, 70], { size: 52 }),
      picture([0, 490, 1080, 650]),
    ]),
    slide(
      "told",
      "context",
      {
        headline: "Why so early?",
        body: "Because the tide does not wait, and neither does the bus.",
      },
      [
        ground(),
        headline([100, 170, 880, 430], { size: 200, valign: "bottom" }),
        body([100, 714, 820, 386], { size: 58, leading: 1.36 }),
      ],
    ),
    slide("said", "proof", { quote: "“You cannot photograph a smell.”", author: "The cook" }, [
      ground(),
      words("quote", "quote", [100, 200, 880, 720], { size: 188, valign: "middle" }),
      words("author", "byline", [100, 970, 820, 60], { size: 50 }),
    ]),
    slide(
      "ask",
      "ask",
      {
        headline: "Come along next time",
        "call-to-action": "Save your place",
        site: "slow-boats.example",
      },
      [
        ground(),
        headline([100, 170, 880, 500], { size: 254, valign: "middle" }),
        body([100, 722, 820, 78], { size: 58 }),
        ...closing(840),
      ],
      { turned: true },
    ),
  ],
  running: [{ ...running("handle"), first: false }, running("page-mark"), running("swipe-cue")],
});

/** One photograph across the first slides; the words stand beneath it. */
export const panorama = set({
  id: "slides-panorama",
  name: "Panorama",
  note: "One wide photograph runs on from slide to slide; what is told stands beneath it.",
  purposes: ["announcement", "event", "opening hours"],
  looks: ["photographic"],
  mood: "light",
  title: {
    words: { headline: "All along the bay", support: "A walk in four slides" },
    arrangement: [
      ground(),
      headline([100, 740, 880, 170], { size: 150, valign: "top" }),
      words("support", "support", [100, 945, 860, 150], { size: 50, leading: 1.3 }),
      logo([100, 1141, 240, 74]),
    ],
  },
  slides: [
    slide(
      "told",
      "point",
      { headline: "Start at the slipway", body: "The bench is free before ten." },
      [
        ground(),
        headline([100, 740, 880, 170], { size: 150, valign: "top" }),
        body([100, 945, 860, 205], { size: 48, leading: 1.3 }),
      ],
    ),
    slide("listed", "point", { headline: "Bring", list: "- Shoes\n- A coat" }, [
      ground(),
      headline([100, 740, 880, 130], { size: 120, valign: "top" }),
      words("list", "body", [100, 924, 860, 216], { size: 52 }),
    ]),
    slide("line", "point", { headline: "Then left, with the wind in your back" }, [
      ground(),
      headline([100, 740, 880, 400], { size: 150, valign: "top" }),
    ]),
    slide(
      "ask",
      "ask",
      { headline: "See you there", "call-to-action": "Get the map", site: "the-bay.example" },
      [
        ground(),
        headline([100, 170, 880, 460], { size: 284, valign: "bottom" }),
        body([100, 702, 820, 88], { size: 58 }),
        ...closing(840),
      ],
      { turned: true },
    ),
  ],
  running: [{ ...running("handle"), first: false }, running("page-mark"), running("swipe-cue")],
  across: [{ id: "view", kind: "picture", at: { x: 0, y: 0, width: 4, height: 0.52 }, style: {} }],
});

/** Two states of one thing, one over the other. */
export const beforeAfter = set({
  id: "slides-before-after",
  name: "Before and after",
  note: "Two pictures or two sayings a slide, one over the other.",
  purposes: ["before and after", "comparison", "testimonial"],
  looks: ["framed", "photographic"],
  mood: "bright",
  title: {
    words: {
      kicker: "Before and after",
      headline: "One yard, one summer",
      support: "What forty volunteers can do",
    },
    arrangement: [
      ground(),
      plate("lower", [0, 740, 1080, 360]),
      words("kicker", "kicker", [100, 140, 800, 52], { size: 44 }),
      headline([100, 220, 880, 480], { size: 284, valign: "middle" }),
      words(
        "support",
        "support",
        [100, 844, 820, 186],
        { size: 52, colour: "on-plate" },
        { on: "lower" },
      ),
      logo([100, 1141, 240, 74]),
    ],
  },
  slides: [
    slide("pictures", "proof", { headline: "The wall" }, [
      ground(),
      picture([0, 0, 1080, 500]),
      picture([0, 516, 1080, 500], {}, "picture-2"),
      headline([100, 1036, 880, 110], { size: 132, valign: "middle" }),
    ]),
    slide(
      "words",
      "point",
      {
        before: "Before: a place where things were left",
        after: "After: a place where people stay",
      },
      [
        ground(),
        words("before", "headline", [100, 140, 880, 480], {
          size: 92,
          type: "headline",
          valign: "bottom",
        }),
        plate("lower", [0, 680, 1080, 450]),
        words(
          "after",
          "headline",
          [100, 730, 880, 350],
          { size: 92, colour: "on-plate", valign: "top" },
          { on: "lower" },
        ),
      ],
    ),
    slide(
      "one-picture",
      "point",
      { headline: "The gate", body: "It opens now, which is the point of a gate." },
      [
        ground(),
        picture([0, 0, 1080, 680]),
        headline([100, 730, 880, 200], { size: 166, valign: "top" }),
        body([100, 974, 820, 146], { size: 58 }),
      ],
    ),
    slide(
      "told",
      "point",
      { headline: "What it took", body: "Forty people, nine Saturdays and one borrowed digger." },
      [
        ground(),
        headline([100, 150, 880, 480], { size: 224, valign: "bottom" }),
        plate("lower", [0, 680, 1080, 450]),
        body(
          [100, 774, 840, 306],
          { size: 58, leading: 1.36, colour: "on-plate" },
          { on: "lower" },
        ),
      ],
    ),
    slide("listed", "point", { headline: "Planted", list: "- Nine trees\n- Mint\n- One bench" }, [
      ground(),
      headline([100, 150, 880, 320], { size: 208, valign: "bottom" }),
      plate("lower", [0, 530, 1080, 600]),
      words(
        "list",
        "body",
        [100, 624, 860, 456],
        { size: 54, colour: "on-plate" },
        { on: "lower" },
      ),
    ]),
    slide(
      "ask",
      "ask",
      { headline: "Next: your street?", "call-to-action": "Lend a hand", site: "the-yard.example" },
      [
        ground(),
        headline([100, 170, 880, 520], { size: 268, valign: "middle" }),
        body([100, 742, 820, 78], { size: 58 }),
        ...closing(850),
      ],
      { turned: true },
    ),
  ],
  running: [running("page-mark"), running("swipe-cue")],
});
