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
      lead: TALL,
    },
    [
      headline([100, 140, 880, 900], 400, "Here it is now"),
      words("support", [100, 1010, 620, 96], 40, "The new timetable starts on Monday"),
      words("cta", [680, 1130, 300, 80], 33, "See it"),
      logo([100, 1136, 240, 74]),
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
      rule("mark", [100, 150, 160, 12], "action"),
      words("quote", [100, 220, 880, 700], 150, "“Nobody ever regretted a swim.”", {
        keep: "always",
      }),
      words("byline", [100, 1000, 700, 44], 42, "Rosa, swims before work", { slot: "author" }),
      logo([100, 1136, 240, 74]),
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
      shape("plate", [100, 100, 880, 640], { shape: "speech", colour: "plate" }),
      headline([170, 170, 740, 400], 230, "Lake or pool?", {
        on: "plate",
        style: { colour: "on-plate" },
      }),
      words("support", [100, 800, 560, 60], 42, "Tell us below, we read them all"),
      words("handle", [100, 920, 500, 44], 36, "@the-swimmers"),
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
      words("figure", [100, 110, 880, 420], 420, "73 %", { keep: "always" }),
      headline([100, 590, 800, 160], 76, "of our guests come back within a year", {
        keep: undefined,
        style: { colour: "support" },
      }),
      words("byline", [100, 900, 560, 40], 32, "Our own count, 2,140 guests", { slot: "author" }),
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
      lead: "story",
    },
    [
      words("kicker", [64, 290, 800, 44], 44, "Only this week"),
      words("figure", [64, 370, 952, 560], 620, "3", { keep: "always" }),
      headline([64, 980, 940, 280], 150, "days left to sign up", { keep: undefined }),
      words("support", [64, 1300, 900, 60], 44, "Courses begin on the second of March"),
      words("cta", [64, 1460, 460, 100], 42, "Get a place"),
    ],
  ),
  template(
    {
      id: "five-points",
      name: "Five points",
      purposes: ["list", "tip"],
      looks: ["typographic"],
      mood: "light",
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
        68,
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
          words("byline", [100, 470 + i * 190, 120, 100], 90, String(i + 1), {
            slot: `number-${i + 1}`,
            style: { type: "headline", colour: "detail", leading: 1 },
          }),
          words("body", [260, 490 + i * 190, 720, 70], 52, step, { slot: `step-${i + 1}` }),
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
            words("body", [100, 400 + i * 100, 480, 56], 44, day, { slot: `day-${i + 1}` }),
            words("byline", [640, 400 + i * 100, 340, 56], 44, time, { slot: `time-${i + 1}` }),
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
      headline([100, 140, 880, 250], 140, "By boat or by bus"),
      rule("rule", [100, 440, 880, 4]),
      ...["38 minutes|52 minutes", "Sea on both sides|Two traffic jams", "€ 4|€ 3"].flatMap(
        (row, i) => {
          const [left, right] = row.split("|") as [string, string];
          return [
            words("body", [100, 510 + i * 150, 420, 70], 50, left, { slot: `left-${i + 1}` }),
            words("byline", [560, 510 + i * 150, 420, 70], 50, right, { slot: `right-${i + 1}` }),
          ];
        },
      ),
      words("support", [100, 990, 880, 60], 50, "From the old town to the beach"),
      logo([100, 1136, 240, 74]),
    ],
  ),
  template(
    {
      id: "we-hire",
      name: "We are hiring",
      purposes: ["hiring"],
      looks: ["typographic", "label"],
      mood: "bright",
      lead: TALL,
    },
    [
      words("kicker", [100, 140, 600, 34], 34, "We are hiring"),
      headline([100, 210, 880, 420], 200, "A baker for mornings"),
      words(
        "body",
        [100, 700, 800, 250],
        46,
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
      lead: SQUARE,
    },
    [
      shape("ornament", [0, 700, 1080, 380], { shape: "waves", colour: "ornament" }),
      headline([100, 110, 880, 330], 220, "Thank you"),
      words("support", [100, 490, 620, 120], 46, "to the 312 people who carried chairs on Sunday"),
    ],
  ),
];
