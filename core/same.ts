/** Whether two pieces of JSON are equal; the order of keys and absent keys do not count. */
export const same = (a: unknown, b: unknown): boolean => canonical(a) === canonical(b);

const canonical = (value: unknown): string =>
  JSON.stringify(value, (_, part: unknown) =>
    part !== null && typeof part === "object" && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)))
      : part,
  );
