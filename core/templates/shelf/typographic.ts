import { headline, logo, rule, shape, template, words } from "../draw";

const TALL = "photo-feed-tall";
const SQUARE = "photo-feed-square";

/** Templates that words rule. */
export const typographic = [
  template(
    {
      id: "big-words",
      name: "Big words",
      purposes: ["launch", "announcement"],
      looks: ["typographic"],
      mood: "bright",
      occasions: ["new season"],
      lead: TALL,
    },
    [
      headline([100, 136, 880, 800], 330, "Look what came in"),
      words("support", [100, 1006, 620, 110], 40, "Summer boxes, in the shop from Monday"),
      words("cta", [680, 1135, 300, 80], 33, "See it"),
      logo([100, 1140, 240, 74]),
    ],
  ),
  template(
    {
      id: "said-aloud",
      name: "Said aloud",
      purposes: ["quote"],
      looks: ["typographic"],
      mood: "dark",
      lead: TALL,
    },
    [
      rule("mark", [100, 136, 160, 16], "action"),
      words("quote", [100, 196, 880, 764], 214, "“Nobody ever regretted a swim.”", {
        keep: "always",
        style: { leading: 0.98 },
      }),
      words("byline", [100, 1040, 700, 54], 46, "Rosa, swims before work", { slot: "author" }),
      logo([100, 1140, 240, 74]),
    ],
  ),
  template(
    {
      id: "one-question",
      name: "One question",
      purposes: ["question"],
      looks: ["typographic", "label"],
      mood: "light",
      lead: SQUARE,
    },
    [
      shape("plate", [100, 100, 880, 720], { shape: "speech", colour: "plate" }),
      headline([170, 170, 740, 460], 280, "Lake or pool?", {
        on: "plate",
        style: { colour: "on-plate" },
      }),
      words("support", [340, 770, 640, 60], 44, "Tell us below, we read them all"),
      words("handle", [100, 930, 500, 44], 38, "@the-swimmers"),
    ],
  ),
  template(
    {
      id: "one-figure",
      name: "One figure",
      purposes: ["statistic"],
      looks: ["big number", "typographic"],
      mood: "dark",
      lead: SQUARE,
    },
    [
      words("figure", [100, 100, 880, 450], 470, "73 %", { keep: "always" }),
      headline([100, 560, 880, 230], 112, "of our guests come back within a year", {
        keep: undefined,
        style: { colour: "support" },
      }),
      words("byline", [100, 930, 560, 50], 36, "Our own count, 2,140 guests", { slot: "author" }),
      logo([740, 906, 240, 74]),
    ],
  ),
  template(
    {
      id: "days-left",
      name: "Days left",
      purposes: ["last chance", "reminder"],
      looks: ["big number"],
      mood: "bright",
      occasions: ["sale", "new season"],
      lead: "story",
    },
    [
      words("kicker", [64, 280, 800, 44], 44, "Only this week"),
      words("figure", [64, 350, 460, 550], 720, "3", { keep: "always" }),
      headline([64, 960, 952, 240], 190, "days left to sign up", { keep: undefined }),
      words("support", [64, 1240, 900, 60], 46, "Courses begin on the second of March"),
      words("cta", [64, 1340, 460, 100], 42, "Get a place"),
      shape("ornament", [0, 1500, 1080, 420], { shape: "arcs", colour: "ornament", points: 5 }),
    ],
  ),
  template(
    {
      id: "five-points",
      name: "Five points",
      purposes: ["list", "tip"],
      looks: ["typographic"],
      mood: "light",
      occasions: ["holidays"],
      lead: TALL,
    },
    [
      headline([100, 140, 880, 270], 150, "Pack for the night train"),
      rule("rule", [100, 448, 880, 4]),
      words(
        "body",
        [100, 500, 880, 580],
        56,
        "1. A scarf, for the window\n2. Something to share\n3. A book with short chapters\n4. Thick socks\n5. No alarm clock",
        { slot: "list" },
      ),
      logo([100, 1136, 240, 74]),
      words("handle", [620, 1156, 360, 40], 34, "@slow-trains", { style: { align: "right" } }),
    ],
  ),
  template(
    {
      id: "story-list",
      name: "Checklist",
      purposes: ["list", "reminder"],
      looks: ["typographic"],
      mood: "dark",
      lead: "story",
    },
    [
      words("kicker", [64, 300, 800, 40], 40, "Before you go"),
      headline([64, 372, 940, 380], 190, "Did you think of this?"),
      words(
        "body",
        [64, 830, 940, 560],
        76,
        "- Water for two\n- A hat that stays on\n- The last bus at nine\n- Someone to go with",
        { slot: "list" },
      ),
      words("cta", [64, 1460, 460, 100], 42, "Keep this list"),
    ],
  ),
  template(
    {
      id: "three-steps",
      name: "Three steps",
      purposes: ["step by step", "tip"],
      looks: ["big number", "typographic"],
      mood: "light",
      lead: TALL,
    },
    [
      headline([100, 140, 880, 250], 140, "Join in three steps"),
      ...["Pick a day that suits you", "Bring a friend along", "Stay for the soup"].flatMap(
        (step, i) => [
          words("byline", [100, 450 + i * 200, 130, 130], 130, String(i + 1), {
            slot: `number-${i + 1}`,
            style: { type: "headline", colour: "detail", leading: 1 },
          }),
          words("body", [260, 486 + i * 200, 720, 76], 56, step, { slot: `step-${i + 1}` }),
        ],
      ),
      words("cta", [100, 1120, 340, 88], 36, "Pick a day"),
      logo([740, 1136, 240, 74]),
    ],
  ),
  template(
    {
      id: "open-hours",
      name: "Opening hours",
      purposes: ["opening hours", "reminder"],
      looks: ["typographic"],
      mood: "dark",
      occasions: ["holidays"],
      lead: SQUARE,
    },
    [
      headline([100, 100, 880, 230], 130, "Open over the holidays"),
      ...["24 December|closed", "25 December|closed", "26 December|11 to 18", "1 January|13 to 18"] //
        .flatMap((row, i) => {
          const [day, time] = row.split("|") as [string, string];
          return [
            words("body", [100, 410 + i * 108, 500, 66], 54, day, { slot: `day-${i + 1}` }),
            words("byline", [640, 410 + i * 108, 340, 66], 54, time, { slot: `time-${i + 1}` }),
          ];
        }),
      logo([740, 906, 240, 74]),
    ],
  ),
  template(
    {
      id: "side-by-side",
      name: "Side by side",
      purposes: ["comparison"],
      looks: ["typographic"],
      mood: "bright",
      lead: TALL,
    },
    [
      headline([100, 136, 880, 300], 200, "By boat or by bus?"),
      rule("rule", [100, 490, 880, 6]),
      ...["Boat|Bus", "38 minutes|52 minutes", "Open sea|Two traffic jams", "€ 4|€ 3"] //
        .flatMap((row, i) => {
          const [left, right] = row.split("|") as [string, string];
          const role = i === 0 ? "byline" : "body";
          return [
            words(role, [100, 540 + i * 124, 430, 70], 54, left, { slot: `left-${i + 1}` }),
            words(role, [560, 540 + i * 124, 420, 70], 54, right, { slot: `right-${i + 1}` }),
          ];
        }),
      words("byline", [100, 1040, 880, 66], 54, "From the old town to the beach", {
        slot: "support",
      }),
      logo([100, 1140, 240, 74]),
    ],
  ),
  template(
    {
      id: "we-hire",
      name: "We are hiring",
      purposes: ["hiring"],
      looks: ["typographic", "label"],
      mood: "bright",
      occasions: ["autumn"],
      lead: TALL,
    },
    [
      words("kicker", [100, 140, 600, 34], 34, "We are hiring"),
      headline([100, 200, 880, 440], 230, "A baker for mornings"),
      words(
        "body",
        [100, 720, 880, 280],
        54,
        "- Four days a week\n- From five to noon\n- Bread for the family",
        {
          slot: "list",
        },
      ),
      words("cta", [100, 1120, 340, 88], 36, "Write to us"),
      logo([740, 1136, 240, 74]),
    ],
  ),
  template(
    {
      id: "thanks",
      name: "Thanks",
      purposes: ["thank-you"],
      looks: ["typographic", "pattern"],
      mood: "light",
      occasions: ["year's end"],
      lead: SQUARE,
    },
    [
      shape("ornament", [0, 866, 1080, 214], { shape: "waves", colour: "ornament" }),
      headline([100, 100, 880, 600], 380, "Thank you"),
      words("support", [100, 764, 880, 60], 40, "to the 312 people who carried chairs on Sunday"),
    ],
  ),
];
