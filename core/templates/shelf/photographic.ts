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
      picture([0, 0, 1080, 756]),
      logo([100, 150, 240, 76]),
      words("kicker", [100, 800, 560, 26], 31, "New on the quay", { keep: "if-room" }),
      headline([100, 846, 560, 368], 190, "Open until late"),
      words("support", [700, 1000, 280, 88], 31, "Every Thursday from the first of May", {
        style: { valign: "bottom" },
      }),
      words("cta", [700, 1136, 280, 76], 31, "Plan a visit"),
    ],
  ),
  template(
    {
      id: "picture-behind",
      name: "Picture behind",
      purposes: ["event", "announcement"],
      looks: ["photographic"],
      mood: "dark",
      lead: TALL,
    },
    [
      picture([0, 0, 1080, 1350]),
      words("kicker", [100, 820, 700, 28], 32, "One night only", { on: "picture" }),
      headline([100, 868, 880, 236], 150, "Night of the open doors", { on: "picture" }),
      words("byline", [100, 1136, 600, 34], 36, "Saturday 9 May, from 20:00", {
        on: "picture",
        slot: "date",
      }),
      logo([100, 150, 240, 76]),
    ],
  ),
  template(
    {
      id: "story-scene",
      name: "Scene",
      purposes: ["event", "launch"],
      looks: ["photographic"],
      mood: "dark",
      lead: "story",
    },
    [
      picture([0, 0, 1080, 1920]),
      words("kicker", [64, 1190, 700, 36], 36, "This weekend", { on: "picture" }),
      headline([64, 1244, 952, 150], 150, "Come as you are", { on: "picture" }),
      words("support", [64, 1404, 900, 50], 42, "Two days, three stages, no tickets", {
        on: "picture",
      }),
      words("cta", [64, 1484, 420, 92], 38, "Save the date", { on: "picture" }),
    ],
  ),
  template(
    {
      id: "window",
      name: "Window",
      purposes: ["announcement", "thank-you"],
      looks: ["framed", "photographic"],
      mood: "light",
      lead: TALL,
    },
    [
      picture([100, 135, 880, 690]),
      headline([100, 872, 880, 190], 130, "The long table is set"),
      words("support", [100, 1090, 560, 96], 34, "Dinner for sixty in the old tram shed"),
      logo([740, 1140, 240, 70]),
    ],
  ),
  template(
    {
      id: "round-portrait",
      name: "Round portrait",
      purposes: ["testimonial", "quote"],
      looks: ["cut-out", "photographic"],
      mood: "light",
      lead: SQUARE,
    },
    [
      picture([100, 100, 330, 330], { style: { frame: "ellipse" } }),
      words("byline", [480, 220, 500, 40], 38, "Ida, keeper of the keys", { slot: "author" }),
      words("quote", [100, 490, 880, 360], 96, "“I came for an hour and stayed for the autumn.”", {
        keep: "always",
      }),
      logo([740, 906, 240, 74]),
    ],
  ),
  template(
    {
      id: "pebble",
      name: "Pebble",
      purposes: ["launch", "offer"],
      looks: ["cut-out"],
      mood: "bright",
      lead: TALL,
    },
    [
      headline([100, 140, 880, 310], 200, "Soft as rain"),
      picture([190, 480, 700, 560], { style: { frame: "pebble" } }),
      words("support", [100, 1090, 520, 90], 36, "A new towel, woven slowly"),
      words("cta", [680, 1130, 300, 80], 33, "Feel it"),
    ],
  ),
  template(
    {
      id: "price-on-picture",
      name: "Price on the picture",
      purposes: ["offer"],
      looks: ["photographic", "label"],
      mood: "dark",
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
      headline([100, 812, 540, 310], 170, "Lunch for two"),
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
      picture([0, 0, 534, 620]),
      picture([546, 0, 534, 620], { id: "picture-2" }),
      headline([100, 676, 880, 200], 130, "Then and now"),
      words("support", [100, 920, 560, 56], 34, "The same corner, ninety years apart"),
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
      lead: TALL,
    },
    [
      picture([0, 0, 640, 800]),
      picture([656, 0, 424, 392], { id: "picture-2" }),
      picture([656, 408, 424, 392], { id: "picture-3" }),
      headline([100, 860, 880, 220], 150, "What a summer"),
      words("support", [100, 1120, 560, 88], 34, "Thank you to all 4,000 of you who came"),
      logo([740, 1140, 240, 70]),
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
      headline([100, 850, 880, 220], 140, "Our year in five pictures"),
      words("handle", [100, 1160, 500, 40], 34, "@the-workshop"),
      logo([740, 1140, 240, 70]),
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
];
