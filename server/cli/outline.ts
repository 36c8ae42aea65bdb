import { readFile, writeFile } from "node:fs/promises";
import { basename } from "node:path";
import type { ArticleAnswer } from "../../core/api";
import { problem } from "../../core/problem";
import { readArticleFile } from "../imports/articles";
import { outlineOfArticle } from "../services/articles";
import type { OutlineOptions } from "./options";

/** Writes an article as the outline of a strip; answers what of it is on no slide. */
export async function outline(options: OutlineOptions): Promise<ArticleAnswer["leftOut"]> {
  const { article, slides, out } = options;
  const bytes = await readFile(article).catch(() => {
    throw problem("not-found", { what: "file", id: article });
  });
  const name = basename(article);
  const made = outlineOfArticle(await readArticleFile(bytes, name), name, slides);
  await writeFile(out, made.outline);
  return made.leftOut;
}
