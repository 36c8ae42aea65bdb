import type { z } from "zod";

/** What is wrong with what a form holds, by the path of the field, in the schema's words. */
export type FieldErrors = Readonly<Record<string, string>>;

export function errorsIn(read: z.ZodSafeParseResult<unknown>): FieldErrors {
  if (read.success) return {};
  const first: Record<string, string> = {};
  for (const { path, message } of read.error.issues) first[path.join(".")] ??= sentence(message);
  return first;
}

const sentence = (text: string): string =>
  `${text.charAt(0).toUpperCase()}${text.slice(1).replace(/\.$/, "")}.`;
