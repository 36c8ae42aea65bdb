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
  const result = schema.safeParse(data);
  if (result.success) return result.data;
  const [issue] = result.error.issues;
  throw problem("document-invalid", {
    document,
    field: issue?.path.join(".") || "its top level",
    why: (issue?.message ?? "it does not follow the format").replace(/\.$/, ""),
  });
}
