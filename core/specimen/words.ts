import type { Brand } from "../brand";
import { box } from "../geometry";
import type { Style } from "../piece";
import { MARGIN, Sheet, type Specimen } from "./sheet";

const TEXT =
  "A harbour is never quite still. Ropes creak, gulls argue, and the tide lifts the boats by the width of a hand. The first cameras needed 12 seconds of patience, so they photographed what could wait: hulls, masts, the wall by J. R. Miller & Sons.";

/** How words are set: large, small, narrow, low, in points, with emphasis. */
export function wordsSheet(brand: Brand): Specimen {
  const sheet = new Sheet("setting", "Setting", brand);
  sheet.text(
    box(MARGIN, 150, 820, 330),
    "“The boats never sailed again, but the light found them”",
    {
      type: "headline",
      weight: 600,
      size: 190,
      leading: 0.93,
    },
  );
  sheet.caption(
    MARGIN,
    496,
    800,
    "Largest size that fits; the quotes hang, the lines end where one would pause",
  );

  sheet.text(
    box(960, 150, 370, 330),
    "- Free for members\n- 12 photographs that nobody has seen since 1931\n- Tea at 4 p.m.",
    {
      type: "text",
      size: 30,
      leading: 1.34,
      gap: 0.7,
    },
  );
  sheet.caption(960, 496, 370, "A list: markers hang, numbers keep their units");

  sheet.text(
    box(MARGIN, 580, 560, 400),
    `${TEXT}\n\nSecond paragraphs stand apart by half a line.`,
    {
      type: "text",
      size: 30,
      leading: 1.38,
    },
  );
  sheet.caption(MARGIN, 1000, 560, "30 px, total-fit ragged lines");

  sheet.text(
    box(700, 580, 160, 400),
    "Donaudampf\u00adschiff\u00adfahrts\u00adgesellschafts\u00adkapitän feiert 100 Jahre",
    {
      type: "text",
      size: 24,
      leading: 1.3,
    },
  );
  sheet.caption(700, 1000, 200, "160 px, soft hyphens");

  sheet.text(box(930, 580, 400, 60), "Open from *10 a.m.* to _7 p.m._", {
    type: "text",
    size: 32,
    leading: 1.3,
  });
  sheet.text(box(930, 650, 400, 60), "All rooms ~free~ on =Thursdays=", {
    type: "text",
    size: 32,
    leading: 1.3,
  });
  sheet.caption(930, 712, 400, "Weight, underline, accent, marker");
  const figures: [string, Partial<Style>][] = [
    ["1870–1931, 1/2 price", { features: ["old-style-figures"] }],
    ["1/2 price, 3/4 full", { features: ["tabular-figures", "fractions"] }],
    ["Museum of Pictures", { features: ["small-capitals"], tracking: 0.06 }],
  ];
  figures.forEach(([text, style], i) => {
    const at = box(930, 770 + 56 * i, 400, 60);
    sheet.text(at, text, { type: "eb-garamond", size: 38, leading: 1.3, ...style });
  });
  sheet.caption(930, 944, 400, "Old-style figures; fractions; small capitals");

  sheet.shape(box(MARGIN, 1070, 1260, 50), { colour: "action" });
  sheet.text(box(MARGIN + 14, 1080, 700, 30), "A banner of 50 px: the boats are back", {
    type: "headline",
    weight: 600,
    colour: "on-action",
    size: 34,
    leading: 0.95,
    valign: "middle",
  });
  return sheet.made(1180);
}
