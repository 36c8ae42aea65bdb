import { readFile, writeFile } from "node:fs/promises";
import type { FontFacts, TableAnswer } from "../../core/api";
import type { PictureFile } from "../../core/files";
import type { Block } from "../../core/article";

/*
 * What foreign files are asked. All of it takes a path and the name that a person knows the file by, and throws a problem
 * that says what is wrong with it. The program does this in a process that can be ended; see reader.ts. Each loads what it
 * reads with when it is first asked, since a process is mostly asked for one kind, and somebody waits for it.
 */

/** A compressed SVG is a plain one from then on, also at its path. */
export async function readPicture(path: string, name: string): Promise<PictureFile> {
  const { plainSvg } = await import("../render/svg-file");
  const { inspectPicture } = await import("../render/inspect");
  const bytes = await readFile(path);
  const plain = plainSvg(bytes, name);
  if (plain !== bytes) await writeFile(path, plain);
  return inspectPicture(plain, name);
}

export async function readFont(path: string, name: string): Promise<FontFacts[]> {
  const { inspectFont } = await import("./fonts");
  return inspectFont(await readFile(path), name);
}

export async function readArticle(path: string, name: string): Promise<Block[]> {
  const { readArticleFile } = await import("./articles");
  return readArticleFile(await readFile(path), name);
}

export async function readTable(path: string, name: string): Promise<TableAnswer> {
  const { readTableFile } = await import("./tables");
  return readTableFile(await readFile(path), name);
}
