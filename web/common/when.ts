/** A moment as a person reads it: the day and the time. */
export const when = (created: string): string =>
  new Date(created).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" });
