import { headline, logo, picture, rule, shape, template, words } from "../draw";

const TALL = "photo-feed-tall";
const SQUARE = "photo-feed-square";

/** Templates that borrow from things made of paper: leaves, tickets, labels, front pages. */
export const paper = [
  template(
    {
      id: "calendar-leaf",
      name: "Calendar leaf",
      purposes: ["reminder", "event"],
      looks: ["calendar leaf", "big number"],
      mood: "dark",
      lead: SQUARE,
    },
    [
      shape("plate", [100, 100, 430, 520], { colour: "plate", corner: 18 }),
      words("kicker", [140, 150, 350, 40], 38, "April", {
        on: "plate",
        style: { colour: "on-plate", align: "centre" },
      }),
      words("figure", [140, 220, 350, 330], 360, "23", {
        on: "plate",
        style: { colour: "on-plate", align: "centre" },
      }),
      headline([100, 680, 880, 190], 110, "Bring your bicycle to the bridge", { keep: undefined }),
      words("support", [100, 912, 560, 60], 38, "Free checks from ten to four"),
      logo([740, 906, 240, 74]),
    ],
  ),
  template(
    {
      id: "ticket",
      name: "Ticket",
      purposes: ["event", "offer"],
      looks: ["ticket"],
      mood: "dark",
      lead: "microblog-wide",
    },
    [
      shape("plate", [120, 150, 1360, 600], {
        shape: "path",
        colour: "plate",
        path: {
          d: "M0 0H960A40 40 0 0 0 1040 0H1360V600H1040A40 40 0 0 0 960 600H0Z",
          width: 1360,
          height: 600,
        },
      }),
      words("kicker", [240, 216, 700, 46], 46, "Admit two", {
        on: "plate",
        style: { colour: "on-plate" },
      }),
      headline([240, 300, 780, 290], 150, "Cinema under the bridge", {
        on: "plate",
        style: { colour: "on-plate" },
      }),
      words("byline", [240, 630, 700, 56], 47, "Friday 12 June, at dusk", {
        slot: "date",
        on: "plate",
        style: { colour: "on-plate" },
      }),
      words("price", [1160, 330, 240, 120], 130, "€ 9", {
        on: "plate",
        style: { colour: "on-plate", align: "centre", valign: "middle" },
      }),
    ],
  ),
  template(
    {
      id: "jar-label",
      name: "Jar label",
      purposes: ["launch", "offer"],
      looks: ["label", "photographic"],
      mood: "light",
      lead: TALL,
    },
    [
      picture([0, 0, 1080, 1350]),
      shape("plate", [100, 850, 700, 364], { colour: "backdrop" }, { on: "picture" }),
      words("kicker", [150, 896, 560, 30], 31, "Batch no. 12", { on: "plate" }),
      headline([150, 944, 600, 120], 110, "Quince, at last", { on: "plate" }),
      words("body", [150, 1090, 600, 84], 34, "Forty jars, from the trees behind the station", {
        on: "plate",
      }),
    ],
  ),
  template(
    {
      id: "front-page",
      name: "Front page",
      purposes: ["announcement"],
      looks: ["newspaper"],
      mood: "light",
      lead: TALL,
    },
    [
      words("kicker", [100, 140, 880, 30], 31, "Special edition"),
      rule("rule", [100, 196, 880, 6], "headline"),
      headline([100, 236, 880, 250], 140, "Library stays open all night"),
      picture([100, 520, 880, 400]),
      words(
        "body",
        [100, 960, 880, 130],
        34,
        "From October the reading room keeps its lamps lit until morning. Bring a blanket; there will be cocoa at two.",
      ),
      logo([100, 1140, 240, 70]),
    ],
  ),
  template(
    {
      id: "slope",
      name: "Slope",
      purposes: ["last chance", "offer"],
      looks: ["diagonal"],
      mood: "bright",
      lead: TALL,
    },
    [
      headline([100, 140, 880, 460], 220, "Last days of summer prices"),
      words("support", [100, 650, 700, 60], 42, "Until Sunday, in all three shops"),
      shape("ornament", [0, 930, 1080, 420], {
        shape: "path",
        colour: "ornament",
        path: { d: "M0 420L1080 0V420Z", width: 1080, height: 420 },
      }),
      words("cta", [100, 760, 300, 84], 34, "Go and see"),
      logo([100, 930, 240, 74]),
    ],
  ),
  template(
    {
      id: "sunrise",
      name: "Sunrise",
      purposes: ["announcement", "thank-you"],
      looks: ["pattern"],
      mood: "bright",
      occasions: ["new year", "spring"],
      lead: SQUARE,
    },
    [
      headline([100, 100, 880, 340], 200, "A good year to you"),
      words("support", [100, 470, 600, 56], 42, "We are back on the third of January"),
      shape("ornament", [140, 600, 800, 800], { shape: "burst", colour: "ornament", points: 24 }),
    ],
  ),
  template(
    {
      id: "price-plate",
      name: "Price plate",
      purposes: ["offer"],
      looks: ["big number", "label"],
      mood: "light",
      lead: SQUARE,
    },
    [
      headline([100, 100, 880, 260], 140, "A pot of soup, all you like"),
      shape("badge", [560, 470, 420, 420], { shape: "ellipse", colour: "plate" }),
      words("price", [600, 590, 340, 160], 180, "€ 6", {
        on: "badge",
        style: { colour: "on-plate", align: "centre", valign: "middle" },
      }),
      words("support", [100, 560, 400, 150], 42, "Mondays, when nobody wants to cook"),
      words("cta", [100, 906, 320, 74], 32, "See the menu"),
    ],
  ),
  template(
    {
      id: "icon-tip",
      name: "Tip with a drawing",
      purposes: ["tip"],
      looks: ["typographic", "label"],
      mood: "dark",
      lead: SQUARE,
    },
    [
      {
        node: {
          id: "icon",
          kind: "icon",
          role: "ornament",
          box: { x: 100, y: 100, width: 170, height: 170 },
          style: { icon: "lightbulb", colour: "action" },
        },
      },
      headline([100, 300, 880, 260], 120, "Leave the lid on for ten minutes more"),
      words(
        "body",
        [100, 620, 800, 180],
        44,
        "Rice goes on cooking in its own steam, and you have time to set the table.",
      ),
      words("handle", [100, 930, 500, 44], 36, "@the-kitchen"),
    ],
  ),
];
