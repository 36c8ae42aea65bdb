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
      lead: "community-group-cover",
    },
    [
      headline([80, 120, 1100, 300], 190, "The pool is warm again"),
      shape("ornament", [0, 480, 1640, 376], { shape: "waves", colour: "ornament" }),
    ],
  ),
  template(
    {
      id: "pin-list",
      name: "Pinned list",
      purposes: ["list", "tip"],
      looks: ["typographic"],
      mood: "bright",
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
      headline([15, 324, 270, 130], 60, "Rain? We have roofs"),
      words("support", [15, 472, 270, 40], 16, "Studios by the hour, from today"),
      words("cta", [15, 544, 140, 40], 15, "Find a room"),
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
      headline([100, 220, 880, 640], 280, "How to read a harbour map"),
      words("support", [100, 900, 700, 110], 44, "Six slides, from the tide table to the lights"),
      words("swipe-cue", [700, 1160, 280, 44], 36, "Go on →", { style: { align: "right" } }),
      logo([100, 1140, 240, 70]),
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
      picture([0, 0, 1080, 820]),
      headline([64, 890, 952, 340], 190, "This chair or that one?"),
      words("support", [64, 1270, 900, 56], 44, "We can only keep one of them"),
      words("handle", [64, 1500, 600, 48], 40, "@the-second-hand"),
    ],
  ),
];
