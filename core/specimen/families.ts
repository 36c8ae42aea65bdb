import type { Brand } from "../brand";
import { box } from "../geometry";
import { families } from "../shelf";
import { below, grid, Sheet, type Specimen } from "./sheet";

/** Every shipped family, by its own name. */
export function familiesSheet(brand: Brand): Specimen {
  const sheet = new Sheet("families", "Typefaces on the shelf", brand);
  const cells = grid(families.length, { columns: 3, top: 170, height: 92, rowGap: 62 });
  families.forEach(({ id, family, character, scripts }, i) => {
    const { x, y, width, height } = cells[i]!;
    sheet.text(box(x, y, width, height), family, {
      type: id,
      weight: 700,
      size: 54,
      leading: 0.95,
      valign: "bottom",
    });
    const others = scripts.filter((script) => script !== "latin" && script !== "latin-ext");
    sheet.caption(x, y + height + 24, width, [character, ...others].join(" · "));
  });
  return sheet.made(below(cells));
}
