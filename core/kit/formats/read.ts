import type { BrandColour } from "../../brand";
import { colourWords } from "../../wording/kits";
import { readCss, readPaletteText } from "./plain";
import { readTokens } from "./tokens";

export interface ColoursRead {
  colours: BrandColour[];
  /** What was left out, and why. */
  notes: string[];
}

/** The colours of a file of tokens (JSON), a style sheet or a plain palette, told apart by what is in it. */
export function readColours(text: string): ColoursRead {
  const start = text.trimStart();
  if (start.startsWith("{")) return readJson(start);
  return /--[\w-]+\s*:/.test(start) ? readCss(start) : readPaletteText(text);
}

function readJson(text: string): ColoursRead {
  try {
    return readTokens(JSON.parse(text));
  } catch (error) {
    const why = error instanceof Error ? error.message : undefined;
    return { colours: [], notes: [colourWords.noJson({ why })] };
  }
}
