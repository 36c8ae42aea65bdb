import { brandSpreads, typefacesOf, type Brand, type Logo } from "../brand";
import { logoName } from "../wording/kits";
import { contrast, hexOf, onColour, rgb, tintsOf, type Hex, type Spread } from "../colour";
import { box, type Box } from "../geometry";
import type { Style } from "../piece";
import { Sheet, SHEET_WIDTH, type Specimen } from "./sheet";

/** A sheet of paper in landscape, 1 : √2. */
const HEIGHT = Math.round(SHEET_WIDTH / Math.SQRT2);
const EDGE = 70;
const RIGHT = SHEET_WIDTH - EDGE;
/** The width of the coloured column on the left, and where the rest begins. */
const COLUMN = 460;
const START = COLUMN + 60;

type Words = Partial<Style>;
const small: Words = { type: "text", size: 17, leading: 1.3 };
const label: Words = { ...small, weight: 700 };

/** The brand on three pages, to be sent to whoever works with it: colours, type and logos, voice and spreads. */
export const brandSheet = (brand: Brand): Specimen[] => [
  coloursPage(brand),
  typePage(brand),
  usePage(brand),
];

/** The coloured column that stands on every page, with the logo above and the page's name below. */
function sheetOf(brand: Brand, id: string, name: string): Sheet {
  const sheet = new Sheet(`sheet-${id}`, name.replace("\n", " "), brand, false);
  const ground = brand.colours.find(({ role }) => role === "primary") ?? brand.colours[0]!;
  const on = onBrandColour(brand, ground.hex);
  sheet.ground(box(0, 0, COLUMN, HEIGHT), ground.id);
  sheet.logo(box(EDGE, EDGE, COLUMN - 2 * EDGE, 64));
  sheet.text(box(EDGE, HEIGHT - 330, COLUMN - EDGE - 30, 260), name, {
    type: "headline",
    size: 92,
    leading: 0.92,
    colour: on,
    valign: "bottom",
  });
  return sheet;
}

/** The brand's own colour that reads best on a ground. */
const onBrandColour = ({ colours }: Brand, ground: Hex): string =>
  [...colours].sort((a, b) => contrast(b.hex, ground) - contrast(a.hex, ground))[0]!.id;

/** Colours as tall bars, the main ones wider, each with its tints below. */
function coloursPage(brand: Brand): Specimen {
  const sheet = sheetOf(brand, "colours", "Colours");
  const wide = (role: string): number => (role === "primary" || role === "paper" ? 1.6 : 1);
  const total = brand.colours.reduce((sum, { role }) => sum + wide(role), 0);
  let x = COLUMN;
  for (const { name, hex, role, id } of brand.colours) {
    const width = ((SHEET_WIDTH - COLUMN) * wide(role)) / total;
    bar(sheet, box(x, 0, width, HEIGHT), { name, hex, role, id });
    x += width;
  }
  return sheet.made(HEIGHT);
}

const TINTS_FROM = 0.62;

function bar(
  sheet: Sheet,
  at: Box,
  { name, hex, role, id }: { name: string; hex: Hex; role: string; id: string },
): void {
  const on = onColour(hex);
  const tints = tintsOf(hex);
  const top = HEIGHT * TINTS_FROM;
  const step = (HEIGHT - top) / tints.length;
  sheet.ground(box(at.x - 1, 0, at.width + 2, top + 1), id);
  tints.forEach((tint, i) => sheet.ground(box(at.x, top + i * step, at.width + 1, step + 1), tint));
  const room = box(at.x + 20, EDGE, at.width - 28, 60);
  sheet.text(room, name, { ...label, size: 26, leading: 1.05, colour: on });
  const facts = [hex.toUpperCase(), written(hex), role === "free" ? "" : role].filter(Boolean);
  sheet.text(box(room.x, EDGE + 76, room.width + 8, 110), facts.join("\n"), {
    ...small,
    size: 15,
    colour: on,
  });
}

const written = (hex: Hex): string => {
  const { r, g, b } = rgb(hex);
  return [r, g, b].map((part) => Math.round(part * 255)).join(" ");
};

const PANGRAM = "Sphinx of black quartz, judge my vow. 0123456789 &?!€";

/** Each typeface large and at work, and every version of the logo on its ground. */
function typePage(brand: Brand): Specimen {
  const sheet = sheetOf(brand, "type", "Type\nand logos");
  const faces = typefacesOf(brand);
  const roles = ["headline", "text", "accent"] as const;
  const names = { headline: "Headlines", text: "Text", accent: "Accents" };
  const each = 420 / faces.length;
  faces.forEach((face, i) => {
    const [role, y] = [roles[i]!, EDGE + i * each];
    const sample = role === "text" ? PANGRAM : brand.name;
    sheet.text(box(START, y, 190, 60), `${names[role]}\n${face.family}`, small);
    sheet.text(box(START + 200, y - 8, RIGHT - START - 200, each - 40), sample, {
      type: role,
      size: role === "text" ? 34 : 74,
      leading: role === "text" ? 1.3 : 0.98,
      weight: role === "text" ? 400 : 600,
    });
  });
  logos(sheet, brand, box(START, 520, RIGHT - START, HEIGHT - 520 - EDGE + 30));
  return sheet.made(HEIGHT);
}

const MOST_LOGOS = 8;

function logos(sheet: Sheet, { logos: all, colours }: Brand, at: Box): void {
  const shown = all.slice(0, MOST_LOGOS);
  if (shown.length === 0) return;
  const columns = Math.min(4, Math.ceil(shown.length / 2));
  const rows = Math.ceil(shown.length / columns);
  const gap = 20;
  const width = (at.width - (columns - 1) * gap) / columns;
  const height = (at.height - (rows - 1) * gap) / rows - 30;
  shown.forEach((logo, i) => {
    const x = at.x + (i % columns) * (width + gap);
    const y = at.y + Math.floor(i / columns) * (height + gap + 30);
    sheet.ground(box(x, y, width, height), groundFor(logo, colours));
    const pad = Math.min(width, height) * (logo.kind === "full" ? 0.12 : 0.26);
    sheet.picture(box(x + pad, y + pad, width - 2 * pad, height - 2 * pad), logo.file, AS_DRAWN);
    sheet.text(box(x, y + height + 6, width, 24), logoName(logo), { ...small, size: 14 });
  });
}

/** A logo is shown whole and in its own colours. */
const AS_DRAWN: Words = {
  framing: { fit: "contain", zoom: 1, panX: 0, panY: 0, turn: 0, flipH: false, flipV: false },
  adjust: { duotone: "none" },
};

function groundFor({ ground }: Logo, colours: Brand["colours"]): string {
  const role = ground === "dark" ? "primary" : "paper";
  const plain = ground === "dark" ? "#000000" : "#FFFFFF";
  return colours.find((colour) => colour.role === role)?.id ?? plain;
}

/** How the brand speaks, and its colours at work: the first six spreads with words and a button. */
function usePage(brand: Brand): Specimen {
  const sheet = sheetOf(brand, "use", "Voice\nand spreads");
  const { voice } = brand;
  const said: [string, string][] = [
    ["Tone", voice.tone],
    ["Handle", [voice.handle, voice.site].filter(Boolean).join(" · ")],
    ["Calls to action", voice.callsToAction.join(" · ")],
    ["Hashtags", voice.hashtags.join(" ")],
    ["We never say", voice.avoid.join(", ")],
  ];
  const lines = said.filter(([, words]) => words);
  lines.forEach(([name, words], i) => {
    const y = EDGE + i * 62;
    sheet.text(box(START, y, 180, 26), name, label);
    sheet.text(box(START + 190, y, RIGHT - START - 190, 54), words, small);
  });
  const top = EDGE + Math.max(1, lines.length) * 62 + 24;
  const call = voice.callsToAction[0] ?? "Read more";
  spreadsIn(sheet, brand, call, box(START, top, RIGHT - START, HEIGHT - EDGE - top));
  return sheet.made(HEIGHT);
}

function spreadsIn(sheet: Sheet, brand: Brand, call: string, at: Box): void {
  const shown = brandSpreads(brand).slice(0, 6);
  const gap = 20;
  const width = (at.width - 2 * gap) / 3;
  const height = (at.height - gap) / 2;
  shown.forEach((spread, i) => {
    const cell = box(
      at.x + (i % 3) * (width + gap),
      at.y + Math.floor(i / 3) * (height + gap),
      width,
      height,
    );
    spreadAtWork(sheet, brand, spread, call, cell);
  });
}

function spreadAtWork(sheet: Sheet, brand: Brand, spread: Spread, call: string, at: Box): void {
  const of = (role: keyof Spread): string => hexId(brand, spread[role]);
  const pad = 26;
  sheet.ground(at, of("backdrop"));
  sheet.ground(
    box(at.x + at.width - 0.34 * at.width, at.y, 0.34 * at.width, at.height),
    of("ornament"),
  );
  sheet.text(box(at.x + pad, at.y + pad, 0.58 * at.width, 0.4 * at.height), brand.name, {
    type: "headline",
    size: 30,
    leading: 1,
    colour: of("headline"),
  });
  sheet.text(box(at.x + pad, at.y + at.height - pad - 44, 170, 44), call, {
    ...label,
    colour: of("on-action"),
    plate: { colour: of("action"), padding: 0.7 },
  });
}

/** An id of the kit is a token already; a spread may leave a part open. */
const hexId = ({ colours }: Brand, id: string | undefined): string =>
  id !== undefined && hexOf(colours, id) !== undefined ? id : colours[0]!.id;
