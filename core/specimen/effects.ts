import type { Brand } from "../brand";
import { box } from "../geometry";
import type { FileId } from "../files";
import { below, grid, Sheet, type Specimen } from "./sheet";
import type { Style } from "../piece";

const WORDS = "Boats at rest";
const BIG = { type: "headline", weight: 700, size: 92, leading: 1.08, valign: "middle" } as const;

const EFFECTS: [string, Partial<Style>][] = [
  ["Shadow", { shadow: { colour: "accent", x: 0.04, y: 0.06, blur: 0, opacity: 1 } }],
  ["Soft shadow", { shadow: { colour: "headline", x: 0, y: 0.08, blur: 0.2, opacity: 0.55 } }],
  ["Outline", { colour: "backdrop", outline: { colour: "headline", width: 0.025 } }],
  [
    "A plate for the block",
    { colour: "on-action", plate: { colour: "action", padding: 0.35, corner: 0.18 } },
  ],
  [
    "A plate for each line",
    {
      colour: "on-action",
      size: 92,
      leading: 1.5,
      plate: { colour: "action", padding: 0.16, corner: 0.08, per: "line" },
    },
  ],
  ["Centred, in capitals", { case: "upper", tracking: 0.02, size: 74, align: "centre" }],
];

/** What can be done to words, and how colours lie on each other. */
export function effectsSheet(brand: Brand, picture: FileId | undefined): Specimen {
  const sheet = new Sheet("effects", "Effects", brand);
  const cells = grid(EFFECTS.length, { columns: 3, top: 160, height: 230, rowGap: 60 });
  EFFECTS.forEach(([name, style], i) => {
    const { x, y, width, height } = cells[i]!;
    sheet.text(box(x, y, width, height), WORDS, { ...BIG, ...style });
    sheet.caption(x, y + height + 18, width, name);
  });
  const blends = ["normal", "multiply", "screen"] as const;
  const rows = grid(blends.length, { columns: 3, top: 760, height: 240 });
  blends.forEach((blend, i) => {
    const { x, y, width, height } = rows[i]!;
    if (picture) sheet.picture(box(x, y, width, height), picture);
    else sheet.shape(box(x, y, width, height), { colour: "ornament" });
    const disc = { shape: "ellipse", blend } as const;
    sheet.shape(box(x + 40, y + 40, 160, 160), { ...disc, colour: "accent" });
    sheet.shape(box(x + 150, y + 40, 160, 160), { ...disc, colour: "primary", opacity: 0.9 });
    sheet.caption(x, y + height + 16, width, `Blend: ${blend}`);
  });
  return sheet.made(below(rows));
}
