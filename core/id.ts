import { z } from "zod";

/**
 * The id of a document, a template or a placement. It becomes part of file names, addresses and keys, so it holds nothing
 * that leads out of a folder or has to be escaped there.
 */
export const Id = z
  .string()
  .regex(
    /^[A-Za-z0-9](?:[A-Za-z0-9._-]{0,78}[A-Za-z0-9])?$/,
    "an id is written in up to 80 letters from A to Z, digits, hyphens, dots and underscores, and begins and ends with a letter or digit",
  );

/** Room is left for a number, and for a word that stands before the id in a file's name. */
const MOST_STEM = 60;

/** An id that is made of some words and that none of `taken` has; what is an id already is kept as far as that goes. */
export function freeId(words: string, taken: ReadonlySet<string>, otherwise = "item"): string {
  if (Id.safeParse(words).success && !taken.has(words)) return words;
  const plain = words
    .normalize("NFKD")
    .replace(/\p{M}+/gu, "")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .slice(0, MOST_STEM)
    .replace(/^-+|-+$/g, "");
  const stem = plain || otherwise;
  let id = stem;
  for (let count = 2; taken.has(id); count++) id = `${stem}-${count}`;
  return id;
}
