import type { FontFacts } from "../../core/api";
import { problem } from "../../core/problem";
import { scriptsOf } from "../../core/text";
import { FontFile, fontsIn } from "../../core/type";
import { toSfnt } from "../files/sfnt";

/** Reads every font of a file: one, or all of a collection. Throws `font-unreadable` with the reason. */
export async function inspectFont(bytes: Uint8Array, name: string): Promise<FontFacts[]> {
  try {
    const sfnt = await toSfnt(bytes);
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
