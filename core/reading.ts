import { z } from "zod";
import { problem } from "./problem";

const Versioned = z.object({ format: z.string(), version: z.number() });

/**
 * Reads a document at the door. Throws `document-newer` for a version above `known`,
 * and `document-invalid` naming the first wrong field.
 */
export function readDocument<T extends z.ZodType>(
  schema: T,
  data: unknown,
  document: string,
  known = 1,
): z.infer<T> {
  const head = Versioned.safeParse(data);
  if (head.success && head.data.version > known) {
    throw problem("document-newer", { document, version: head.data.version, known });
  }
  const result = schema.safeParse(wellFormed(data));
  if (result.success) return result.data;
  const [issue] = result.error.issues;
  throw problem("document-invalid", {
    document,
    field: issue?.path.join(".") || "its top level",
    why: (issue?.message ?? "it does not follow the format").replace(/\.$/, ""),
  });
}

/** No document or request of ours goes deeper than a dozen levels. */
const MOST_DEEP = 100;

/**
 * The same JSON with whole characters only: half of a surrogate pair, as a text cut in its middle leaves it, becomes U+FFFD,
 * as it would where it is stored. Throws `request-invalid` for what is nested too deep.
 */
export function wellFormed(value: unknown, deep = 0): unknown {
  if (typeof value === "string") return HALF.test(value) ? value.replace(HALVES, "\ufffd") : value;
  if (typeof value !== "object" || value === null) return value;
  if (deep >= MOST_DEEP)
    throw problem("request-invalid", {
      field: "Its JSON",
      why: `it is nested more than ${MOST_DEEP} deep`,
    });
  if (Array.isArray(value)) return value.map((one) => wellFormed(one, deep + 1));
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => [wellFormed(key), wellFormed(one, deep + 1)]),
  );
}

/** With the u flag, a pair is one character and only halves are surrogates. */
const HALF = /\p{Surrogate}/u;
const HALVES = /\p{Surrogate}/gu;
