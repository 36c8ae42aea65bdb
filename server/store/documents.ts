import { customType } from "drizzle-orm/sqlite-core";
import { LRUCache } from "lru-cache";
import type { ZodType } from "zod";

/**
 * Documents by their text, since lists ask for all of them again and again, and checking one takes ten times as long as
 * reading it. What is read is shared, and frozen.
 */
const read = new LRUCache<string, { schema: ZodType; document: object }>({
  maxSize: 64 * 1024 * 1024,
  // A document takes about three bytes for each letter of its text beside the text itself (pieces of 3 400 letters, measured).
  sizeCalculation: (_, text) => 4 * text.length,
});

/** JSON that is read through its schema, so that what an older program wrote gets what was added since. */
export const document = <T>(name: string, schema: ZodType<T>) =>
  customType<{ data: T; driverData: string }>({
    dataType: () => "text",
    toDriver: (value) => JSON.stringify(value),
    fromDriver: (stored) => readAs(stored, schema),
  })(name);

export function readAs<T>(stored: string, schema: ZodType<T>): T {
  const known = read.get(stored);
  if (known?.schema === schema) return known.document as T;
  const document = schema.parse(JSON.parse(stored));
  if (typeof document === "object" && document !== null)
    read.set(stored, { schema, document: frozen(document) });
  return document;
}

function frozen<T extends object>(thing: T): T {
  for (const part of Object.values(thing) as unknown[])
    if (typeof part === "object" && part !== null) frozen(part);
  return Object.freeze(thing);
}
