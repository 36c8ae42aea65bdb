import type { Brand } from "../brand";
import { box } from "../geometry";
import { MARGIN, Sheet, SHEET_WIDTH, type Specimen } from "./sheet";

/** A line of each script that can be set; made-up sentences about boats. */
const LINES: [string, string][] = [
  ["Latin, accents", "Ångström, Çeşme, Łódź, Žižkov, œuvre, naïveté"],
  ["Vietnamese", "Những chiếc thuyền nằm yên trong bến cảng"],
  ["Greek", "Βάρκες που ξεκουράζονται στο λιμάνι"],
  ["Cyrillic", "Лодки отдыхают в тихой гавани, ґанок, їжак"],
  ["Arabic", "قوارب ترسو في الميناء القديم ١٩٣١ (Boats)"],
  ["Hebrew", "סירות נחות בנמל הישן, 1931 (Boats)"],
  ["Devanagari", "नावें पुराने बंदरगाह में विश्राम करती हैं"],
  ["Thai", "เรือพักอยู่ในท่าเรือเก่าอันเงียบสงบ"],
  ["Japanese", "古い港に休む舟、静かな水と光。"],
  ["Colour emoji", "Ahoy! ⛵ 🌊 🎉 👩‍🚀 ❤️ 🇯🇵"],
];
const ROW = 112;
const TOP = 170;

export function scriptsSheet(brand: Brand): Specimen {
  const sheet = new Sheet("scripts", "Scripts", brand);
  LINES.forEach(([name, text], i) => {
    const y = TOP + i * ROW;
    sheet.caption(MARGIN, y + 22, 200, name);
    sheet.text(box(MARGIN + 220, y, SHEET_WIDTH - 2 * MARGIN - 220, 78), text, {
      type: "text",
      size: 50,
      leading: 1.3,
      align: "left",
      valign: "middle",
    });
  });
  return sheet.made(TOP + LINES.length * ROW + 50);
}
