/** A number with its noun: “1 file”, “3 files”. */
export const counted = (count: number, noun: string): string =>
  `${count} ${count === 1 ? noun : `${noun}s`}`;
