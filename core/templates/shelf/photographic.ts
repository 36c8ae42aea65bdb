import { headline, logo, picture, shape, template, words } from "../draw";

const TALL = "photo-feed-tall";
const SQUARE = "photo-feed-square";

/** Templates that a picture rules, alone or among others. */
export const photographic = [
  template(
    {
      id: "half-and-half",
      name: "Half and half",
      purposes: ["announcement", "event"],
      looks: ["photographic"],
      mood: "dark",
      lead: TALL,
    },
    [
      picture([0, 0, 1080, 770]),
      words("kicker", [100, 832, 560, 30], 31, "New on the quay", { keep: "if-room" }),
      headline([100, 884, 550, 330], 186, "Open until late"),
      logo([740, 832, 240, 76]),
      words("support", [700, 990, 280, 96], 31, "Every Thursday from the first of May", {
        style: { valign: "bottom" },
      }),
      words("cta", [700, 1128, 280, 80], 31, "Plan a visit"),
    ],
  ),
  template(
    {
      id: "picture-behind",
      name: "Picture behind",
      purposes: ["event", "announcement"],
      looks: ["photographic"],
      mood: "dark",
      occasions: ["opening night"],
      lead: TALL,
    },
    [
      picture([0, 0, 1080, 1350]),
      words("kicker", [100, 800, 700, 40], 34, "One night only", { on: "picture" }),
      headline([100, 850, 880, 310], 180, "Night of the open doors", { on: "picture" }),
      words("byline", [100, 1180, 700, 54], 42, "Saturday 9 May, from 20:00", {
        on: "picture",
        slot: "date",
      }),
    ],
  ),
  template(
    {
      id: "story-scene",
      name: "Scene",
      purposes: ["event", "launch"],
      looks: ["photographic"],
      mood: "dark",
      occasions: ["summer"],
      lead: "story",
    },
    [
      picture([0, 0, 1080, 1920]),
      words("kicker", [64, 944, 700, 46], 40, "This weekend", { on: "picture" }),
      headline([64, 1010, 952, 360], 215, "Come as you are", { on: "picture" }),
      words("support", [64, 1404, 900, 50], 44, "Two days, three stages, no tickets", {
        on: "picture",
      }),
      words("cta", [64, 1484, 420, 92], 38, "Save the date", { on: "picture" }),
    ],
  ),
  template(
    {
      id: "window",
      name: "Arched window",
      purposes: ["announcement", "thank-you"],
      looks: ["framed", "photographic"],
      mood: "light",
      occasions: ["harvest", "winter"],
      lead: TALL,
    },
    [
      picture([440, 100, 540, 750], { style: { frame: "arch" } }),
      logo([100, 136, 240, 74]),
      words("support", [100, 690, 290, 160], 36, "Dinner for sixty in the old tram shed", {
        style: { valign: "bottom" },
      }),
      headline([100, 904, 880, 310], 182, "The long table is set"),
    ],
  ),
  template(
    {
      id: "round-portrait",
      name: "Portrait in an arch",
      purposes: ["testimonial", "quote"],
      looks: ["cut-out", "photographic"],
      mood: "light",
      lead: SQUARE,
    },
    [
      picture([500, 0, 580, 580], { style: { frame: "arch" } }),
      logo([100, 100, 240, 74]),
      words("quote", [100, 640, 880, 250], 112, "“I came for an hour and stayed for the autumn.”", {
        keep: "always",
      }),
      words("byline", [100, 930, 700, 48], 42, "Ida, keeper of the keys", { slot: "author" }),
    ],
  ),
  template(
    {
      id: "pebble",
      name: "Pebble",
      purposes: ["launch", "offer"],
      looks: ["cut-out"],
      mood: "bright",
      occasions: ["winter"],
      lead: TALL,
    },
    [
      headline([100, 136, 880, 240], 230, "Soft as rain"),
      picture([100, 400, 880, 690], { style: { frame: "pebble" } }),
      words("support", [100, 1120, 520, 94], 36, "A new towel, woven slowly", {
        style: { valign: "bottom" },
      }),
      words("cta", [680, 1130, 300, 84], 33, "Feel it"),
    ],
  ),
  template(
    {
      id: "price-on-picture",
      name: "Price on the picture",
      purposes: ["offer"],
      looks: ["photographic", "label"],
      mood: "dark",
      occasions: ["weekday"],
      lead: TALL,
    },
    [
      picture([0, 0, 1080, 760]),
      shape("badge", [660, 560, 320, 320], { shape: "ellipse", colour: "plate", turn: -8 }),
      words("price", [700, 630, 240, 106], 120, "€ 19", {
        on: "badge",
        style: { colour: "on-plate", align: "centre", valign: "middle" },
      }),
      words("body", [710, 756, 220, 36], 32, "instead of 27", {
        on: "badge",
        id: "terms",
        slot: "terms",
        importance: 2,
        keep: "if-room",
        style: { colour: "on-plate", align: "centre", weight: 600 },
      }),
      headline([100, 812, 540, 290], 170, "Lunch for two"),
      words("support", [100, 1150, 520, 44], 34, "Weekdays until three"),
      words("cta", [680, 1130, 300, 80], 33, "Book a table"),
    ],
  ),
  template(
    {
      id: "then-and-now",
      name: "Then and now",
      purposes: ["before and after", "comparison"],
      looks: ["collage"],
      mood: "light",
      lead: SQUARE,
    },
    [
      picture([0, 0, 534, 640]),
      picture([546, 0, 534, 640], { id: "picture-2" }),
      headline([100, 690, 880, 190], 172, "Then and now"),
      words("support", [100, 900, 600, 66], 38, "The same corner, ninety years apart", {
        style: { valign: "bottom" },
      }),
      logo([740, 910, 240, 70]),
    ],
  ),
  template(
    {
      id: "three-views",
      name: "Three views",
      purposes: ["thank-you", "event"],
      looks: ["collage"],
      mood: "dark",
      occasions: ["summer"],
      lead: TALL,
    },
    [
      picture([0, 0, 640, 800]),
      picture([656, 0, 424, 392], { id: "picture-2" }),
      picture([656, 408, 424, 392], { id: "picture-3" }),
      headline([100, 850, 880, 230], 190, "What a summer"),
      words("support", [100, 1100, 560, 114], 36, "Thank you to all 4,000 of you who came", {
        style: { valign: "bottom" },
      }),
      logo([740, 1140, 240, 74]),
    ],
  ),
  template(
    {
      id: "four-corners",
      name: "Four corners",
      purposes: ["announcement", "list"],
      looks: ["collage"],
      mood: "bright",
      lead: SQUARE,
    },
    [
      picture([0, 0, 534, 300]),
      picture([546, 0, 534, 300], { id: "picture-2" }),
      picture([0, 312, 534, 300], { id: "picture-3" }),
      picture([546, 312, 534, 300], { id: "picture-4" }),
      headline([100, 668, 880, 210], 140, "Four walks, one map"),
      words("cta", [100, 906, 320, 74], 32, "Get the map"),
      logo([740, 906, 240, 74]),
    ],
  ),
  template(
    {
      id: "five-frames",
      name: "Five frames",
      purposes: ["thank-you", "announcement"],
      looks: ["collage", "framed"],
      mood: "light",
      occasions: ["year's end"],
      lead: TALL,
    },
    [
      picture([100, 135, 430, 330]),
      picture([550, 135, 430, 330], { id: "picture-2" }),
      picture([100, 485, 280, 300], { id: "picture-3" }),
      picture([400, 485, 280, 300], { id: "picture-4" }),
      picture([700, 485, 280, 300], { id: "picture-5" }),
      headline([100, 836, 880, 256], 165, "Our year in five pictures"),
      words("handle", [100, 1160, 500, 54], 36, "@the-workshop"),
      logo([740, 1140, 240, 74]),
    ],
  ),
  template(
    {
      id: "cover-picture",
      name: "Cover with a picture",
      purposes: ["announcement", "event"],
      looks: ["photographic"],
      mood: "dark",
      lead: "community-group-cover",
    },
    [
      picture([900, 0, 740, 856]),
      words("kicker", [80, 130, 700, 48], 47, "Since spring"),
      headline([80, 206, 740, 350], 170, "Meet us by the water"),
      words("support", [80, 596, 740, 60], 48, "Rowing, mending, tea"),
      logo([80, 686, 310, 90]),
    ],
  ),
  template(
    {
      id: "pin-picture",
      name: "Pinned picture",
      purposes: ["tip", "step by step"],
      looks: ["photographic"],
      mood: "light",
      lead: "pinboard-tall",
    },
    [
      picture([0, 0, 1000, 780]),
      words("kicker", [80, 836, 800, 48], 47, "In ten minutes"),
      headline([80, 910, 840, 260], 140, "Mend a jumper by hand"),
      words("support", [80, 1210, 840, 130], 50, "All you need is wool, a needle and a cup of tea"),
    ],
  ),
  template(
    {
      id: "leaf",
      name: "Leaf",
      purposes: ["tip", "launch"],
      looks: ["cut-out", "photographic"],
      mood: "dark",
      occasions: ["spring", "harvest"],
      lead: SQUARE,
    },
    [
      picture([480, 0, 600, 580], { style: { frame: "leaf" } }),
      words("kicker", [100, 100, 320, 90], 34, "In season"),
      headline([100, 610, 880, 270], 164, "First of the garden"),
      words("support", [100, 900, 600, 66], 40, "Boxes of eight, every Thursday", {
        style: { valign: "bottom" },
      }),
      logo([740, 906, 240, 74]),
    ],
  ),
];
