import { z } from "zod";

/** What an article is made of, in its order. */
export const Block = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("heading"), level: z.number().int().min(1).max(6), text: z.string() }),
  z.object({ kind: z.literal("text"), text: z.string() }),
  z.object({ kind: z.literal("quote"), text: z.string() }),
  z.object({ kind: z.literal("list"), items: z.array(z.string()) }),
]);
export type Block = z.infer<typeof Block>;

const POINT = /^\s*(?:[-•*‣▪]|\d{1,2}[.)])\s+/;
const ENDS = /[.!?…:;,”"»]$/;
/** A line that is longer is no heading. Common practice. */
const MOST_HEADING = 70;

/** The blocks of plain text: paragraphs with a gap between them; a short line alone that ends no sentence heads what follows. */
export function plainBlocks(text: string): Block[] {
  const groups = text
    .replace(/\r\n?/g, "\n")
    .split(/\n\s*\n/)
    .map((group) =>
      group
        .split("\n")
        .map((line) => line.trim())
        .filter(Boolean),
    )
    .filter((lines) => lines.length > 0);
  return groups.flatMap((lines, index): Block[] => {
    const [first = "", ...rest] = lines;
    if (lines.every((line) => POINT.test(line)))
      return [{ kind: "list", items: lines.map((line) => line.replace(POINT, "")) }];
    const isHeading =
      first.length <= MOST_HEADING &&
      !ENDS.test(first) &&
      (index + 1 < groups.length || rest.length > 0);
    // A heading stands alone, or right over the points that it heads.
    if (isHeading && rest.length === 0)
      return [{ kind: "heading", level: index === 0 ? 1 : 2, text: first }];
    if (isHeading && rest.every((line) => POINT.test(line)))
      return [
        { kind: "heading", level: 2, text: first },
        { kind: "list", items: rest.map((line) => line.replace(POINT, "")) },
      ];
    return [{ kind: "text", text: lines.join(" ") }];
  });
}
