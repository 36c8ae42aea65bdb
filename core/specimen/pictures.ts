import type { Brand } from "../brand";
import type { FileId } from "../files";
import { box } from "../geometry";
import { Framing, type Style } from "../piece";
import { below, grid, Sheet, type Specimen } from "./sheet";

const plain = { duotone: "none" } as const;
const framing = (part: Partial<Framing>): Framing => Framing.parse(part);

const WAYS: [string, Partial<Style>][] = [
  ["as it is", { adjust: plain }],
  ["the brand's own", {}],
  ["duotone, two brand colours", { adjust: { duotone: { dark: "primary", light: "accent" } } }],
  ["greyscale", { adjust: { ...plain, greyscale: 1 } }],
  ["brighter", { adjust: { ...plain, brightness: 0.35 } }],
  ["more contrast", { adjust: { ...plain, contrast: 0.6 } }],
  ["more saturated", { adjust: { ...plain, saturation: 0.9 } }],
  ["warmer", { adjust: { ...plain, warmth: 1 } }],
  ["colder", { adjust: { ...plain, warmth: -1 } }],
  ["blur", { adjust: { ...plain, blur: 0.02 } }],
  ["tint", { adjust: { ...plain, greyscale: 1, tint: { colour: "accent", amount: 0.4 } } }],
  ["vignette", { adjust: { ...plain, vignette: 0.9 } }],
  ["grain", { adjust: { ...plain, greyscale: 0.6, grain: { amount: 0.6, seed: 7 } } }],
  ["zoom and pan", { adjust: plain, framing: framing({ zoom: 2, panX: -0.6 }) }],
  ["turned", { adjust: plain, framing: framing({ turn: 8 }) }],
  ["flipped", { adjust: plain, framing: framing({ flipH: true }) }],
  ["whole", { adjust: plain, framing: framing({ fit: "contain" }) }],
  ["in a pebble", { frame: "pebble" }],
  ["in a burst", { frame: "burst", adjust: plain }],
  [
    "in corners, with a shadow",
    {
      adjust: plain,
      frame: "rectangle",
      corner: 28,
      shadow: { colour: "headline", x: 0, y: 8, blur: 26, opacity: 0.5 },
    },
  ],
];

/** What can be done to a picture, with one picture. */
export function picturesSheet(brand: Brand, picture: FileId): Specimen {
  const sheet = new Sheet("pictures", "Pictures", brand);
  const cells = grid(WAYS.length, { columns: 5, top: 160, height: 176, gap: 28, rowGap: 62 });
  WAYS.forEach(([name, style], i) => {
    const { x, y, width, height } = cells[i]!;
    sheet.picture(box(x, y, width, height), picture, style);
    sheet.caption(x, y + height + 14, width, name);
  });
  return sheet.made(below(cells));
}
