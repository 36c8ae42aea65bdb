import type { Brand, BrandColour } from "../../brand";
import { readColour, rgb } from "../../colour";
import { colourWords } from "../../wording/kits";
import { colourId } from "../make";

/** CSS custom properties, one for each colour and typeface. */
export function writeCss(brand: Brand): string {
  const { headline, text } = brand.typefaces;
  const lines = [
    ...brand.colours.map(
      ({ id, hex, name }) => `  --${id}: ${hex.toLowerCase()}; /* ${comment(name)} */`,
    ),
    `  --headline: ${JSON.stringify(headline.family)};`,
    `  --text: ${JSON.stringify(text.family)};`,
  ];
  return `:root {\n${lines.join("\n")}\n}\n`;
}

const comment = (text: string): string => text.replace(/\*\//g, "* /");

/** A palette as plain text: red, green and blue from 0 to 255 and the name, a line a colour. */
export const writePalette = ({ colours }: Brand): string =>
  colours
    .map(({ hex, name }) => {
      const { r, g, b } = rgb(hex);
      return `${[r, g, b].map((part) => Math.round(part * 255)).join(" ")} ${name}\n`;
    })
    .join("");

interface Found {
  colours: BrandColour[];
  notes: string[];
}

/** The custom properties of a style sheet that are colours. */
export function readCss(css: string): Found {
  const plain = css.replace(/\/\*[\s\S]*?\*\//g, "");
  const rows = [...plain.matchAll(/--([\w-]+)\s*:\s*([^;}]+)/g)].map(([, name, value]) => ({
    name: name!.replace(/[-_]+/g, " "),
    hex: readColour(value!),
  }));
  return collected(rows.filter(({ hex }) => hex !== undefined));
}

const LINE = /^\s*(\d{1,3})[\s,]+(\d{1,3})[\s,]+(\d{1,3})(?:[\s,]+(.*))?$/;

/** Lines of `R G B name`; lines that are none are named, but for empty ones and comments. */
export function readPaletteText(text: string): Found {
  const rows = text.split(/\r?\n/).flatMap((line, index) => {
    if (line.trim() === "" || line.trim().startsWith("#")) return [];
    const [, r, g, b, name] = LINE.exec(line) ?? [];
    const parts = [r, g, b].map(Number);
    const right = r !== undefined && parts.every((part) => part <= 255);
    const hex = right ? readColour(`rgb(${parts.join(" ")})`) : undefined;
    return [
      { name: name?.trim() || colourWords.unnamed({ line: index + 1 }), hex, line: index + 1 },
    ];
  });
  const found = collected(rows.filter(({ hex }) => hex !== undefined));
  const wrong = rows.filter(({ hex }) => hex === undefined);
  const notes = wrong.map(colourWords.badLine);
  return { ...found, notes };
}

function collected(rows: { name: string; hex: string | undefined }[]): Found {
  const taken = new Set<string>();
  const colours = rows.map(({ name, hex }): BrandColour => {
    const id = colourId(name, taken);
    taken.add(id);
    return { id, name: name.charAt(0).toUpperCase() + name.slice(1), hex: hex!, role: "free" };
  });
  return { colours, notes: [] };
}
