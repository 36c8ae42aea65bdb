import type { Brand } from "../brand";
import { box, type Box } from "../geometry";
import type { Style } from "../piece";
import { below, grid, Sheet, type Specimen } from "./sheet";

/** A drop: any single path can be a shape. */
const DROP = {
  d: "M50 0C50 0 90 48 90 74A40 40 0 0 1 10 74C10 48 50 0 50 0Z",
  width: 100,
  height: 116,
};

const SHAPES: [string, Partial<Style>][] = [
  ["rectangle", { shape: "rectangle" }],
  ["corners", { shape: "rectangle", corner: 24 }],
  ["pill", { shape: "pill" }],
  ["ellipse", { shape: "ellipse" }],
  ["diamond", { shape: "diamond" }],
  ["polygon", { shape: "polygon", points: 6 }],
  ["star", { shape: "star" }],
  ["burst", { shape: "burst" }],
  ["speech", { shape: "speech", corner: 20 }],
  ["arrow", { shape: "arrow" }],
  ["leaf", { shape: "leaf" }],
  ["pebble", { shape: "pebble" }],
  ["blob", { shape: "blob" }],
  ["wave edge", { shape: "wave-edge" }],
  ["any path", { shape: "path", path: DROP }],
];

const PAINTS: [string, Partial<Style>][] = [
  [
    "linear, Oklab",
    { gradient: { kind: "linear", angle: 0, stops: [stop(0, "primary"), stop(1, "accent")] } },
  ],
  [
    "at an angle",
    { gradient: { kind: "linear", angle: 45, stops: [stop(0, "#2C5BDB"), stop(1, "#F2D13A")] } },
  ],
  [
    "radial",
    {
      shape: "ellipse",
      gradient: { kind: "radial", angle: 0, stops: [stop(0, "accent"), stop(1, "primary")] },
    },
  ],
  [
    "into nothing",
    {
      gradient: {
        kind: "linear",
        angle: 90,
        stops: [stop(0, "primary"), { ...stop(1, "primary"), opacity: 0 }],
      },
    },
  ],
  [
    "shadow",
    {
      corner: 16,
      colour: "backdrop",
      shadow: { colour: "headline", x: 0, y: 10, blur: 30, opacity: 0.4 },
    },
  ],
];

const PENS: [string, Style["stroke"]][] = [
  ["thin", { colour: "headline", width: 3, dash: [], cap: "butt" }],
  ["dashes", { colour: "headline", width: 6, dash: [24, 14], cap: "butt" }],
  ["dots", { colour: "accent", width: 10, dash: [0, 20], cap: "round" }],
  ["square ends", { colour: "action", width: 10, dash: [16, 26], cap: "square" }],
];

const ICONS = [
  "anchor",
  "sailboat",
  "ticket",
  "calendar-days",
  "map-pin",
  "clock",
  "camera",
  "heart",
  "ship",
  "sun",
  "arrow-right",
  "quote",
];

function stop(at: number, colour: string) {
  return { at, colour, opacity: 1 };
}

export function shapesSheet(brand: Brand): Specimen {
  const sheet = new Sheet("shapes", "Shapes, paints, icons, codes", brand);
  const cells = grid(SHAPES.length, { columns: 5, top: 160, height: 120, rowGap: 62 });
  SHAPES.forEach(([name, style], i) => {
    const cell = cells[i]!;
    const wide = ["rectangle", "corners", "pill", "speech", "arrow", "wave edge"].includes(name);
    sheet.shape(wide ? cell : square(cell), {
      colour: i % 4 === 2 ? "accent" : "headline",
      ...style,
    });
    sheet.caption(cell.x, cell.y + cell.height + 14, cell.width, name);
  });
  const paints = grid(PAINTS.length, { columns: 5, top: 720, height: 120 });
  PAINTS.forEach(([name, style], i) => {
    const cell = paints[i]!;
    sheet.shape(style.shape === "ellipse" ? square(cell) : cell, style);
    sheet.caption(cell.x, cell.y + cell.height + 14, cell.width, name);
  });
  const pens = grid(PENS.length, { columns: 4, top: 910, height: 24 });
  PENS.forEach(([name, stroke], i) => {
    const cell = pens[i]!;
    sheet.shape(cell, { shape: "line", stroke });
    sheet.caption(cell.x, cell.y + 34, cell.width, name);
  });
  const icons = grid(ICONS.length, { columns: 16, top: 1012, height: 56, gap: 22 });
  ICONS.forEach((icon, i) => sheet.icon(icons[i]!, icon, i % 3 === 1 ? "accent" : "headline"));
  const { x, width } = icons.at(-1)!;
  const end = box(x + width + 60, 990, 140, 140);
  sheet.code(end, "https://quillmere.example/boats", { colour: "headline" });
  return sheet.made(below([end]));
}

/** The largest square at a cell's left. */
const square = (cell: Box): Box => box(cell.x, cell.y, cell.height, cell.height);
