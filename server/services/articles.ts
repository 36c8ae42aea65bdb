import type { ArticleAnswer } from "../../core/api";
import { cutArticle, type Block } from "../../core/article";
import { languageOf } from "../../core/language";
import { problem } from "../../core/problem";
import { writeOutline } from "../../core/strip";

/** Characters of an article that are weighed sentence against sentence: about an hour of reading. */
const MOST = 80_000;

/** An article as the outline of a strip. Throws `article-unreadable` for one that is a book. */
export function outlineOfArticle(
  blocks: readonly Block[],
  name: string,
  slides: number,
): ArticleAnswer {
  const text = blocks.map(textOf).join("\n");
  if (text.length > MOST) {
    const why = `it has ${text.length.toLocaleString("en")} characters, and at most ${MOST.toLocaleString("en")} can be weighed against each other. Take a chapter of it`;
    throw problem("article-unreadable", { name, why });
  }
  const { outline, leftOut } = cutArticle(blocks, {
    slides,
    name,
    language: languageOf(text) ?? "en",
  });
  return { outline: writeOutline(outline), leftOut };
}

const textOf = (block: Block): string =>
  block.kind === "list" ? block.items.join("\n") : block.text;
