import { headline, logo, picture, shape, template, words } from "../draw";

/** Templates that are drawn for one kind of place: covers, pins, ads, the first slide of a carousel. */
export const placed = [
  template(
    {
      id: "cover-waves",
      name: "Cover with waves",
      purposes: ["announcement", "event"],
      looks: ["pattern"],
      mood: "dark",
      occasions: ["spring"],
      lead: "community-group-cover",
    },
    [
      headline([80, 90, 1480, 420], 250, "The pool is warm again"),
      shape("ornament", [0, 560, 1640, 296], { shape: "waves", colour: "plate" }),
    ],
  ),
  template(
    {
      id: "pin-list",
      name: "Pinned list",
      purposes: ["list", "tip"],
      looks: ["typographic"],
      mood: "bright",
      occasions: ["weekday"],
      lead: "pinboard-tall",
    },
    [
      words("kicker", [80, 110, 800, 48], 47, "Save for later"),
      headline([80, 190, 840, 380], 170, "Seven o'clock suppers"),
      words(
        "body",
        [80, 640, 840, 560],
        60,
        "- Eggs and greens\n- Beans on toast\n- Noodles, cold\n- Soup from the freezer\n- Bread, cheese, pear",
        {
          slot: "list",
        },
      ),
      logo([80, 1270, 260, 80]),
    ],
  ),
  template(
    {
      id: "ad-tower",
      name: "Tower ad",
      purposes: ["offer", "launch"],
      looks: ["photographic"],
      mood: "dark",
      lead: "ad-half-page",
    },
    [
      picture([0, 0, 300, 300]),
      headline([15, 320, 270, 160], 76, "Rain? We have roofs"),
      words("support", [15, 490, 270, 28], 17, "Studios by the hour, from today"),
      words("cta", [15, 540, 150, 44], 16, "Find a room"),
    ],
  ),
  template(
    {
      id: "ad-plain",
      name: "Plain ad",
      purposes: ["offer", "last chance"],
      looks: ["typographic"],
      mood: "bright",
      lead: "ad-medium-rectangle",
    },
    [
      headline([16, 20, 268, 130], 58, "Ten lessons, one price"),
      words("support", [16, 162, 268, 20], 15, "Until the end of May"),
      words("cta", [16, 200, 130, 36], 15, "Save a lane"),
      logo([196, 204, 88, 28]),
    ],
  ),
  template(
    {
      id: "first-slide",
      name: "First slide",
      purposes: ["step by step", "tip", "list"],
      looks: ["typographic"],
      mood: "dark",
      kind: "carousel",
      lead: "professional-document",
    },
    [
      words("kicker", [100, 140, 700, 36], 36, "A small guide"),
      headline([100, 200, 880, 780], 226, "Six knots to learn by heart"),
      words("support", [100, 1010, 760, 120], 46, "One a day, with nothing but a shoelace"),
      words("swipe-cue", [700, 1190, 280, 48], 38, "Go on →", { style: { align: "right" } }),
      logo([100, 1173, 240, 74]),
    ],
  ),
  template(
    {
      id: "story-poll",
      name: "Either or",
      purposes: ["question", "comparison"],
      looks: ["collage", "typographic"],
      mood: "light",
      lead: "story",
    },
    [
      picture([0, 0, 1080, 960]),
      headline([64, 1020, 952, 330], 216, "This chair or that one?"),
      words("support", [64, 1400, 900, 56], 48, "We can only keep one of them"),
      words("handle", [64, 1510, 600, 50], 42, "@the-second-hand"),
    ],
  ),
];
