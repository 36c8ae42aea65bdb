import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { Brand } from "../../core/brand";
import { Piece, type Node, type Role } from "../../core/piece";
import { bottom, right, type Box } from "../../core/geometry";
import { keptArea, placementById } from "../../core/placements";
import { fileId } from "../../server/files/hash";
import { demoBrand, demoFolder, demoPieces } from "./demo";

/** A piece with its brand, and what is hard about it. */
export interface Case {
  piece: Piece;
  brand: Brand;
}

const picture = (name: string): string =>
  fileId(readFileSync(join(demoFolder, "quillmere/pictures", `${name}.jpg`)));

const thing = (x: number, y: number, width: number, height: number) =>
  ({ kind: "thing", x, y, width, height, weight: 1 }) as const;

const photos = {
  boats: { picture: picture("harbour-boats"), areas: [thing(0.435, 0.17, 0.3, 0.58)] },
  alps: { picture: picture("alpine-landscape"), areas: [thing(0.38, 0.28, 0.24, 0.24)] },
  cat: { picture: picture("cat-in-motion"), areas: [thing(0.38, 0.38, 0.24, 0.24)] },
  home: { picture: picture("dust-bowl-home"), areas: [thing(0.38, 0.43, 0.24, 0.24)] },
  flower: { picture: picture("allium"), areas: [thing(0.3, 0.2, 0.4, 0.4)] },
  /** The subject stands at the very edge. */
  edge: { picture: picture("dust-bowl-home"), areas: [thing(0.8, 0.25, 0.2, 0.5)] },
} as const;

type At = [x: number, y: number, width: number, height: number];
type More = Partial<Omit<Node, "style">> & { style?: Node["style"] };
type Part = {
  node: Omit<Node, "box" | "style"> & More;
  at: At;
  filling?: Piece["message"][string];
};

let count = 0;
const part = (
  kind: Node["kind"],
  role: Role,
  at: At,
  filling?: string | { picture: string; areas: readonly object[] },
  more: More = {},
): Part => {
  const id = `${role}${++count}`;
  const slot = filling === undefined ? {} : { slot: id };
  const asFilling = typeof filling === "string" ? { text: filling } : filling;
  return {
    node: { id, kind, role, ...slot, ...more },
    at,
    ...(asFilling ? { filling: asFilling as Piece["message"][string] } : {}),
  };
};

const text = (role: Role, at: At, words: string, size: number, more: More = {}): Part =>
  part("text", role, at, words, { ...more, style: { size, ...more.style } });
const photo = (at: At, of: keyof typeof photos, more: More = {}): Part =>
  part("picture", "photo", at, photos[of], more);
const ground = (colour = "backdrop"): Part =>
  part("shape", "backdrop", [0, 0, 1, 1], undefined, { style: { colour } });
const shape = (role: Role, at: At, style: Node["style"], more: More = {}): Part =>
  part("shape", role, at, undefined, { style, ...more });
const cta = (at: At, words = "Book a place"): Part => text("cta", at, words, 30);
const logo = (at: At): Part => part("picture", "logo", at, undefined, { keep: "if-room" });

/** What must be safe is moved into the safe area of the lead, as its composer would have seen to. */
function placed(lead: string, { kind, role, on }: Part["node"], at: Box): Box {
  if ((kind !== "text" && role !== "logo") || on?.startsWith("badge")) return at;
  const kept = keptArea(placementById(lead), role);
  const width = Math.min(at.width, kept.width);
  const within = (value: number, from: number, to: number) => Math.max(from, Math.min(value, to));
  return {
    ...at,
    width,
    x: within(at.x, kept.x, right(kept) - width),
    y: within(at.y, kept.y, bottom(kept) - at.height),
  };
}

/** Positions are thousandths of the lead's width and height, sizes thousandths of its width. */
function compose(
  id: string,
  lead: string,
  brandId: "quillmere" | "saltlight",
  parts: Part[],
  more: Partial<Piece> = {},
): Case {
  const { width, height } = placementById(lead);
  const [sx, sy] = [width / 1000, height / 1000];
  const arrangement = parts.map(({ node, at: [x, y, w, h] }) => {
    const { size, ...style } = node.style ?? {};
    const whole = node.role === "backdrop";
    return {
      ...node,
      style: { ...style, ...(size === undefined ? {} : { size: size * sx }) },
      box: whole
        ? { x: 0, y: 0, width, height }
        : placed(lead, node, { x: x * sx, y: y * sy, width: w * sx, height: h * sy }),
    };
  });
  const message = Object.fromEntries(
    parts.flatMap(({ node, filling }) => (filling && node.slot ? [[node.slot, filling]] : [])),
  );
  const piece = Piece.parse({
    format: "zestcrate/piece",
    version: 1,
    id,
    kind: "post",
    title: id,
    brand: brandId,
    lead,
    message,
    arrangement,
    spread: {},
    sizes: [{ placement: lead }],
    ...more,
  });
  return { piece, brand: demoBrand(brandId) };
}

const LONG =
  "Everything that our grandparents photographed on a Sunday afternoon between the wars and never showed to anyone";

/** On a photograph that fills the frame. */
const over = (of: keyof typeof photos, headline: string, extra: Part[] = []): Part[] => {
  const back = photo([0, 0, 1000, 1000], of);
  const on = back.node.id;
  return [
    ground(),
    back,
    logo([95, 70, 240, 50]),
    text("kicker", [95, 640, 600, 24], "Tonight", 28, { on }),
    text("headline", [95, 680, 840, 170], headline, 110, { on, keep: "always" }),
    text("support", [95, 870, 600, 40], "Doors open at seven, no ticket needed", 30, { on }),
    ...extra,
  ];
};

/** Words on a plate that lies on a photograph. */
const plated = (of: keyof typeof photos): Part[] => {
  const back = photo([0, 0, 1000, 1000], of);
  const plate = shape("plate", [60, 560, 560, 370], { colour: "backdrop" }, { on: back.node.id });
  const on = plate.node.id;
  return [
    ground(),
    back,
    plate,
    text("headline", [100, 600, 480, 160], "Walk with us", 90, { on, keep: "always" }),
    text("body", [100, 770, 480, 60], "Sundays at ten from the old ferry landing", 32, { on }),
    text("site", [100, 860, 480, 30], "quillmere.example", 28, { on }),
    logo([700, 70, 220, 50]),
  ];
};

const band = (headline: string, of: keyof typeof photos = "boats"): Part[] => [
  ground(),
  photo([0, 0, 1000, 540], of),
  logo([95, 90, 220, 50]),
  text("kicker", [95, 590, 500, 24], "Exhibition", 28, { keep: "if-room" }),
  text("headline", [95, 630, 820, 190], headline, 110, { keep: "always" }),
  text("support", [95, 840, 560, 60], "Harbour photographs from 1868 to 1931", 30),
  cta([640, 870, 270, 60]),
];

const list = (points: string[], asOne = false): Part[] => [
  ground(),
  text("headline", [95, 90, 820, 190], "Five things to bring", 100, { keep: "always" }),
  ...(asOne
    ? [text("body", [95, 320, 820, 480], points.map((point) => `- ${point}`).join("\n"), 42)]
    : points.map((point, i) => text("body", [95, 320 + i * 96, 820, 60], point, 42))),
  logo([95, 890, 220, 50]),
];

const POINTS = ["A towel", "Dry socks", "Something hot", "A friend", "No excuses"];

const quote = (words: string, beside: Part[] = []): Part[] => [
  ground(),
  ...beside,
  text("quote", [95, 120, 820, 520], words, 86, { keep: "always" }),
  text("byline", [95, 720, 700, 40], "A visitor, on a rainy Tuesday", 34),
  logo([95, 870, 220, 50]),
];

function badged(of: keyof typeof photos): Part[] {
  const plate = shape("badge", [660, 440, 260, 208], { shape: "ellipse", colour: "plate" });
  const on = plate.node.id;
  return [
    ground(),
    photo([0, 0, 1000, 560], of),
    text("headline", [95, 610, 820, 180], "Ten lessons, one price", 100, { keep: "always" }),
    text("body", [95, 820, 500, 60], "Until the end of the month", 34),
    plate,
    text("price", [690, 490, 200, 80], "€ 49", 80, { on }),
    text("body", [690, 570, 200, 30], "instead of 70", 26, { on }),
    cta([640, 880, 270, 60], "Save a lane"),
  ];
}

const collage = (of: (keyof typeof photos)[]): Part[] => {
  const across = of.length === 2 ? 2 : 2;
  const rows = Math.ceil(of.length / across);
  return [
    ground(),
    ...of.map((one, i) =>
      photo([(i % across) * 500, Math.floor(i / across) * (600 / rows), 500, 600 / rows], one),
    ),
    text("headline", [95, 660, 840, 160], "Before and after", 110, { keep: "always" }),
    text("support", [95, 840, 560, 60], "The same street, ninety years apart", 32),
    logo([700, 880, 220, 50]),
  ];
};

const figure = (): Part[] => [
  ground(),
  text("figure", [95, 120, 840, 340], "68 %", 340, { keep: "always" }),
  text("headline", [95, 500, 820, 160], "of our pictures have no name on the back", 70),
  text("body", [95, 720, 600, 90], "Help us find out who they show.", 36),
  cta([95, 860, 300, 60], "Tell us a name"),
  logo([700, 870, 220, 50]),
];

const tip = (): Part[] => [
  ground(),
  part("icon", "ornament", [95, 100, 140, 112], undefined, {
    style: { icon: "camera", colour: "action" },
  }),
  text("headline", [95, 260, 820, 220], "How to read an old photograph", 90, { keep: "always" }),
  part("line", "ornament", [95, 520, 820, 6], undefined, { style: { colour: "action" } }),
  text(
    "body",
    [95, 560, 820, 240],
    "Begin at the edges: the people in the middle were posing, those at the edge were not.",
    40,
  ),
  text("handle", [95, 890, 500, 40], "@quillmere", 32),
];

const coded = (): Part[] => [
  ground(),
  text("headline", [95, 110, 820, 240], "Scan, come in, look around", 100, { keep: "always" }),
  text("body", [95, 400, 500, 90], "Free on the first Sunday of each month", 36),
  part("code", "figure", [560, 560, 350, 280], "https://quillmere.example/sunday"),
  logo([95, 860, 220, 50]),
];

const nine = (): Part[] => [
  ground(),
  photo([0, 0, 1000, 440], "alps"),
  logo([95, 60, 220, 50]),
  text("kicker", [95, 480, 500, 24], "Members", 28, { keep: "if-room" }),
  text("headline", [95, 520, 820, 130], "A night among the pictures", 90, { keep: "always" }),
  text("support", [95, 670, 560, 60], "Sleep where the glass negatives sleep", 32),
  text("body", [95, 740, 560, 60], "Bring a mat; breakfast is ours", 28),
  text("byline", [95, 830, 400, 30], "9 May, from 20:00", 30),
  text("site", [95, 880, 400, 30], "quillmere.example", 26),
  cta([640, 870, 270, 60]),
];

const framed = (): Part[] => [
  ground(),
  photo([95, 70, 840, 560], "flower"),
  text("headline", [95, 680, 840, 150], "Seed swap", 130, { keep: "always" }),
  text("body", [95, 850, 560, 60], "Take what you need, leave what you have", 32),
  logo([700, 870, 220, 50]),
];

const waves = (): Part[] => [
  ground(),
  shape("ornament", [0, 560, 1000, 440], { shape: "waves", colour: "ornament" }),
  text("headline", [95, 90, 840, 300], "Slow lane, fast friends", 140, { keep: "always" }),
  text("body", [95, 420, 600, 70], "Wednesdays, half past six", 38),
  logo([95, 880, 240, 60]),
  cta([640, 880, 280, 70], "Save a lane"),
];

const hours = (): Part[] => [
  ground(),
  text("headline", [95, 90, 820, 170], "Open over the holidays", 90, { keep: "always" }),
  ...[
    "24 December|closed",
    "25 December|closed",
    "26 December|11 to 18",
    "1 January|13 to 18",
  ].flatMap((row, i) => {
    const [day, time] = row.split("|") as [string, string];
    return [
      text("body", [95, 330 + i * 100, 480, 50], day, 40),
      text("byline", [600, 330 + i * 100, 310, 50], time, 40),
    ];
  }),
  text("site", [95, 890, 500, 30], "quillmere.example", 28),
];

const rightToLeft = (): Part[] => [
  ground(),
  photo([0, 0, 1000, 520], "boats"),
  text("headline", [95, 580, 820, 180], "ערב פתוח במוזיאון", 110, { keep: "always" }),
  text("support", [95, 790, 820, 50], "תצלומים של נמלים ואנשים", 36),
  cta([640, 880, 270, 60], "להזמנה"),
  logo([95, 880, 220, 50]),
];

const at = (
  lead: string,
  id: string,
  brand: "quillmere" | "saltlight",
  parts: () => Part[],
  more: Partial<Piece> = {},
): Case => compose(id, lead, brand, parts(), more);

const TALL = "photo-feed-tall";
const SQUARE = "photo-feed-square";
const STORY = "story";
const WIDE = "community-link";

/** The pieces that refit is measured with: all that ship, and hard ones made by hand. */
export const cases = (): Case[] => [
  ...demoPieces(),
  at(TALL, "over-landscape", "quillmere", () => over("alps", "Night at the museum")),
  at(STORY, "over-in-story", "quillmere", () =>
    over("boats", "Night at the museum", [cta([95, 930, 300, 36])]),
  ),
  at(SQUARE, "over-flower", "saltlight", () => over("flower", "Spring is here")),
  at(WIDE, "over-wide", "saltlight", () => over("home", "Come home")),
  at(SQUARE, "over-edge", "quillmere", () => over("edge", "At the edge of town")),
  at(TALL, "plate-on-photo", "quillmere", () => plated("boats")),
  at(SQUARE, "plate-on-flower", "saltlight", () => plated("flower")),
  at(TALL, "band-edge", "quillmere", () => band("Who lived here?", "edge")),
  at(SQUARE, "band-square", "saltlight", () => band("Boats at rest")),
  at(STORY, "band-story", "quillmere", () => band("Boats at rest")),
  at(TALL, "long-headline", "quillmere", () => band(LONG)),
  at(TALL, "one-word", "saltlight", () => band("Now")),
  at(TALL, "no-space", "quillmere", () => band("Donaudampfschifffahrtsgesellschaft")),
  at(TALL, "list-of-five", "quillmere", () => list(POINTS)),
  at(SQUARE, "list-in-one", "saltlight", () => list(POINTS, true)),
  at(STORY, "list-in-story", "quillmere", () => list(POINTS)),
  at(SQUARE, "quote", "quillmere", () => quote("“I came for the rain and stayed for the boats.”")),
  at(TALL, "quote-portrait", "saltlight", () =>
    quote("“The water was cold. We laughed for an hour.”", [photo([600, 640, 400, 360], "cat")]),
  ),
  at(TALL, "price-badge", "saltlight", () => badged("alps")),
  at(SQUARE, "price-badge-square", "quillmere", () => badged("flower")),
  at(SQUARE, "two-pictures", "quillmere", () => collage(["boats", "home"])),
  at(TALL, "four-pictures", "saltlight", () => collage(["boats", "home", "alps", "flower"])),
  at(SQUARE, "three-pictures", "quillmere", () => collage(["boats", "alps", "flower"])),
  at(TALL, "big-number", "quillmere", figure),
  at(SQUARE, "big-number-square", "saltlight", figure),
  at(SQUARE, "tip-with-icon", "quillmere", tip),
  at(TALL, "tip-tall", "saltlight", tip),
  at(SQUARE, "code", "quillmere", coded),
  at(TALL, "nine-nodes", "quillmere", nine),
  at(STORY, "nine-in-story", "saltlight", nine),
  at(TALL, "framed", "quillmere", framed),
  at(SQUARE, "framed-square", "saltlight", framed),
  at(SQUARE, "waves", "saltlight", waves),
  at(TALL, "opening-hours", "quillmere", hours),
  at(TALL, "right-to-left", "quillmere", rightToLeft, { language: "he" }),
  at(
    SQUARE,
    "right-to-left-quote",
    "quillmere",
    () => quote("באנו בגלל הגשם ונשארנו בגלל הסירות"),
    { language: "he" },
  ),
  at(TALL, "headline-alone", "quillmere", () => [
    ground(),
    text("headline", [95, 200, 820, 500], "Closed on Monday", 180),
  ]),
  at(TALL, "photo-alone", "quillmere", () => [
    ground(),
    photo([0, 0, 1000, 1000], "boats"),
    logo([95, 880, 220, 50]),
  ]),
];
