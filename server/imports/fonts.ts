import type { FontFacts } from "../../core/api";
import { problem } from "../../core/problem";
import { scriptsOf } from "../../core/text";
import { FontFile, fontsIn } from "../../core/type";
import { refuseIncomplete, toSfnt } from "../files/sfnt";

/** Faces for all of Han are smaller; what is larger is slow for whoever opens a piece. */
const MOST_BYTES = 30 * 1024 * 1024;

/** Reads every font of a file: one, or all of a collection. Throws `font-unreadable` with the reason. */
export async function inspectFont(bytes: Uint8Array, name: string): Promise<FontFacts[]> {
  if (bytes.length > MOST_BYTES) {
    const why = `it is ${Math.round(bytes.length / 1024 / 1024)} MB, more than the ${MOST_BYTES / 1024 / 1024} MB that a page can load; take a file with fewer characters`;
    throw problem("font-unreadable", { name, why });
  }
  try {
    const sfnt = await toSfnt(bytes);
    refuseIncomplete(sfnt);
    return Array.from({ length: fontsIn(sfnt) }, (_, index) => {
      const font = new FontFile(name, sfnt, index);
      return {
        family: font.family,
        index,
        axes: { ...font.axes },
        characters: font.codePoints.size,
        scripts: scriptsOf(font),
        features: font.features,
        embedding: font.embedding,
      };
    });
  } catch (error) {
    const why = error instanceof RangeError ? error.message : "it is damaged, or no font at all";
    throw problem("font-unreadable", { name, why });
  }
}
