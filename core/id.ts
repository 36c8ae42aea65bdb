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
