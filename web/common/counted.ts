/** A number with its noun: “1 file”, “3 files”, “10,000 files”. */
export const counted = (count: number, noun: string): string =>
  `${count.toLocaleString("en")} ${count === 1 ? noun : `${noun}s`}`;

const list = new Intl.ListFormat("en");
/** “Story”, “Story and Link picture”, “Story, Link picture, and Leaderboard”. */
export const listed = (names: readonly string[]): string => list.format(names);
