import { readFile, writeFile } from "node:fs/promises";
import type { FontFacts, TableAnswer } from "../../core/api";
import type { PictureFile } from "../../core/files";
import { inspectPicture } from "../render/inspect";
import { plainSvg } from "../render/svg-file";
import type { Block } from "../../core/article";
import { readArticleFile } from "./articles";
import { inspectFont } from "./fonts";
import { readTableFile } from "./tables";

/*
 * What foreign files are asked. All of it takes a path and the name that a person knows the file by, and throws a problem
 * that says what is wrong with it. The program does this in a process that can be ended; see reader.ts.
 */

/** A compressed SVG is a plain one from then on, also at its path. */
export async function readPicture(path: string, name: string): Promise<PictureFile> {
  const bytes = await readFile(path);
  const plain = plainSvg(bytes, name);
  if (plain !== bytes) await writeFile(path, plain);
  return inspectPicture(plain, name);
}

export async function readFont(path: string, name: string): Promise<FontFacts[]> {
  return inspectFont(await readFile(path), name);
}

export async function readArticle(path: string, name: string): Promise<Block[]> {
  return readArticleFile(await readFile(path), name);
}

export async function readTable(path: string, name: string): Promise<TableAnswer> {
  return readTableFile(await readFile(path), name);
}
