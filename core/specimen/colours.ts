import type { Brand } from "../brand";
import { contrast, seenWith, tintsOf, visionKinds } from "../colour";
import { box } from "../geometry";
import { MARGIN, Sheet, SHEET_WIDTH, type Specimen } from "./sheet";

const ROW = 118;
const LABEL = 190;
const readable = (hex: string): string => (contrast(hex, "#FFFFFF") >= 4.5 ? "#FFFFFF" : "#1A1A1A");

/** The brand's colours with their tints, as eyes with other cones see them, and mixed with each other. */
export function coloursSheet(brand: Brand): Specimen {
  const sheet = new Sheet("colours", "Colours", brand);
  const wide = SHEET_WIDTH - 2 * MARGIN - LABEL;
  brand.colours.forEach(({ name, hex }, i) => {
    const y = 160 + i * ROW;
    sheet.text(box(MARGIN, y + 8, LABEL - 20, 30), name, {
      type: "text",
      weight: 700,
      size: 22,
      leading: 1.2,
    });
    sheet.caption(MARGIN, y + 42, LABEL, hex.toUpperCase());
    const tints = tintsOf(hex);
    const step = (wide * 0.68) / tints.length;
    tints.forEach((tint, t) => swatch(sheet, MARGIN + LABEL + t * step, y, step, 84, tint));
    const seen = visionKinds.map((kind) => seenWith(kind, hex));
    const small = (wide * 0.32 - 24) / (seen.length + 1);
    [hex, ...seen].forEach((colour, s) =>
      swatch(sheet, MARGIN + LABEL + wide * 0.68 + 24 + s * small, y, small, 84, colour),
    );
  });
  const top = 160 + brand.colours.length * ROW;
  sheet.caption(
    MARGIN + LABEL,
    top - 18,
    700,
    "Tints and shades by Oklch lightness, brought into sRGB",
  );
  sheet.caption(
    MARGIN + LABEL + wide * 0.68 + 24,
    top - 18,
    420,
    `As it is; ${visionKinds.join("; ")}`,
  );
  const pairs = brand.colours.slice(1).map((colour) => [brand.colours[0]!, colour] as const);
  pairs.forEach(([from, to], i) => {
    const y = top + 50 + i * 66;
    sheet.caption(MARGIN, y + 10, LABEL, `${from.name} to ${to.name}`);
    const stops = [from, to].map(({ id }, at) => ({ at, colour: id, opacity: 1 }));
    sheet.shape(box(MARGIN + LABEL, y, wide, 44), {
      gradient: { kind: "linear", angle: 0, stops },
    });
  });
  return sheet.made(top + 50 + pairs.length * 66 + 50);
}

function swatch(
  sheet: Sheet,
  x: number,
  y: number,
  width: number,
  height: number,
  hex: string,
): void {
  sheet.shape(box(x, y, width + 1, height), { colour: hex });
  sheet.text(box(x + 8, y + height - 26, width - 12, 18), hex.slice(1).toUpperCase(), {
    type: "text",
    size: 13,
    colour: readable(hex),
    leading: 1.2,
    features: ["tabular-figures"],
  });
}
