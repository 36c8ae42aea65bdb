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
      occasions: ["spring"],
      lead: SQUARE,
    },
    [
      shape("badge", [100, 100, 500, 560], { colour: "plate" }, { importance: 5 }),
      words("kicker", [140, 140, 420, 48], 46, "April", {
        on: "badge",
        style: { colour: "on-plate", align: "centre" },
      }),
      words("figure", [130, 200, 440, 430], 400, "23", {
        on: "badge",
        style: { colour: "on-plate", align: "centre" },
      }),
      logo([680, 100, 300, 92]),
      words("support", [680, 500, 300, 160], 44, "Free checks from ten to four", {
        style: { valign: "bottom" },
      }),
      headline([100, 730, 880, 250], 140, "Bring your bicycle to the bridge", { keep: undefined }),
    ],
  ),
  template(
    {
      id: "ticket",
      name: "Ticket",
      purposes: ["event", "offer"],
      looks: ["ticket"],
      mood: "dark",
      occasions: ["opening night"],
      lead: "microblog-wide",
    },
    [
      shape("plate", [100, 100, 1400, 700], { shape: "ticket", colour: "plate" }),
      words("kicker", [200, 190, 800, 46], 46, "Admit two", {
        on: "plate",
        style: { colour: "on-plate" },
      }),
      headline([200, 270, 860, 330], 190, "Cinema under the bridge", {
        on: "plate",
        style: { colour: "on-plate" },
      }),
      words("byline", [200, 656, 800, 56], 50, "Friday 12 June, at dusk", {
        slot: "date",
        on: "plate",
        style: { colour: "on-plate" },
      }),
      words("price", [1150, 360, 300, 180], 150, "€ 9", {
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
      occasions: ["autumn", "harvest"],
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
      occasions: ["new season"],
      lead: TALL,
    },
    [
      words("kicker", [100, 136, 880, 40], 34, "Special edition"),
      rule("rule", [100, 194, 880, 10], "headline"),
      headline([100, 226, 880, 236], 150, "Library stays open all night"),
      picture([100, 510, 880, 410]),
      words(
        "body",
        [100, 956, 880, 150],
        36,
        "From October the reading room keeps its lamps lit until morning. Bring a blanket; there will be cocoa at two.",
      ),
      logo([100, 1140, 240, 74]),
    ],
  ),
  template(
    {
      id: "slope",
      name: "Slope",
      purposes: ["last chance", "offer"],
      looks: ["diagonal"],
      mood: "bright",
      occasions: ["summer", "sale"],
      lead: TALL,
    },
    [
      headline([100, 136, 880, 510], 250, "Last days of summer prices"),
      words("support", [100, 690, 800, 60], 46, "Until Sunday, in all three shops"),
      shape("ornament", [0, 930, 1080, 420], {
        shape: "path",
        colour: "ornament",
        path: { d: "M0 420L1080 0V420Z", width: 1080, height: 420 },
      }),
      words("cta", [100, 800, 320, 88], 36, "Go and see"),
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
      headline([100, 100, 880, 370], 250, "A good year to you"),
      words("support", [100, 512, 800, 60], 44, "We are back on the third of January"),
      shape("ornament", [90, 620, 900, 900], {
        shape: "burst",
        colour: "ornament",
        points: 28,
        inner: 0.95,
      }),
    ],
  ),
  template(
    {
      id: "price-plate",
      name: "Price plate",
      purposes: ["offer"],
      looks: ["big number", "label"],
      mood: "light",
      occasions: ["weekday", "winter"],
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
          box: { x: 80, y: 80, width: 230, height: 230 },
          style: { icon: "lightbulb", colour: "action" },
        },
      },
      headline([100, 340, 880, 300], 140, "Leave the lid on for ten minutes more"),
      words(
        "body",
        [100, 690, 800, 190],
        46,
        "Rice goes on cooking in its own steam, and you have time to set the table.",
      ),
      words("handle", [100, 934, 500, 46], 38, "@the-kitchen"),
    ],
  ),
  template(
    {
      id: "rings",
      name: "Rings",
      purposes: ["thank-you", "announcement"],
      looks: ["pattern", "typographic"],
      mood: "dark",
      occasions: ["summer", "anniversary"],
      lead: TALL,
    },
    [
      words("kicker", [100, 136, 700, 40], 36, "Ten years on the hill"),
      headline([100, 200, 880, 390], 250, "Here’s to the rain"),
      words("support", [100, 650, 700, 60], 44, "And to everyone who came anyway"),
      shape("ornament", [0, 810, 1080, 540], { shape: "arcs", colour: "plate", points: 5 }),
    ],
  ),
  template(
    {
      id: "beams",
      name: "Beams",
      purposes: ["launch", "announcement", "event"],
      looks: ["pattern", "diagonal"],
      mood: "light",
      occasions: ["summer"],
      lead: SQUARE,
    },
    [
      headline([100, 100, 880, 370], 240, "Lights on at six"),
      words("byline", [100, 520, 800, 60], 46, "Every evening in November", { slot: "date" }),
      shape("ornament", [0, 640, 1080, 440], { shape: "rays", colour: "plate", points: 13 }),
    ],
  ),
  template(
    {
      id: "awning",
      name: "Awning",
      purposes: ["offer", "launch", "opening hours"],
      looks: ["pattern", "label"],
      mood: "light",
      lead: TALL,
    },
    [
      shape("ornament", [0, 0, 1080, 330], { shape: "stripes", colour: "plate" }),
      words("kicker", [100, 410, 700, 40], 36, "On the corner, again"),
      headline([100, 474, 880, 440], 260, "The bakery is back"),
      words("byline", [100, 950, 800, 60], 46, "From Tuesday, seven in the morning", {
        slot: "date",
      }),
      words("cta", [100, 1125, 340, 88], 36, "See the bread"),
      logo([740, 1140, 240, 74]),
    ],
  ),
  template(
    {
      id: "confetti",
      name: "Confetti",
      purposes: ["thank-you", "statistic", "announcement"],
      looks: ["big number", "pattern"],
      mood: "bright",
      occasions: ["anniversary", "birthday"],
      lead: SQUARE,
    },
    [
      shape("ornament", [540, 0, 540, 560], { shape: "dots", colour: "ornament" }),
      words("figure", [100, 100, 440, 480], 470, "10", { keep: "always" }),
      headline([100, 600, 880, 250], 140, "years of mending things together", {
        keep: undefined,
      }),
      words("support", [100, 900, 600, 66], 42, "Cake on Saturday, from three", {
        style: { valign: "bottom" },
      }),
      logo([740, 906, 240, 74]),
    ],
  ),
];
