/** Something that can be gone to or done. */
export interface Found {
  /** What it is of: “Piece”, “Brand kit”, “Action”. */
  kind: string;
  name: string;
  /** What tells it from others of its name: its crate, its size. */
  about?: string;
  /** What it is found by as well. */
  words?: string;
  go: () => unknown;
}

const plain = (text: string): string =>
  text
    .normalize("NFD")
    .replace(/\p{Mn}/gu, "")
    .toLowerCase();

/** The worth of a thing for the words that were typed: all of them must begin a word of it; 0 when one does not. */
export function worthOf({ kind, name, about = "", words = "" }: Found, typed: string): number {
  const wanted = plain(typed).split(/\s+/).filter(Boolean);
  const title = plain(name);
  const all = plain(`${name} ${about} ${kind} ${words}`).split(/[\s/,.×–-]+/);
  if (!wanted.every((part) => all.some((word) => word.startsWith(part)))) return 0;
  if (title === wanted.join(" ")) return 4;
  if (title.startsWith(wanted.join(" "))) return 3;
  return wanted.every((part) => title.split(/\s+/).some((word) => word.startsWith(part))) ? 2 : 1;
}

/** The best of what there is, those whose names fit best first; without words, as it comes. */
export function bestOf(all: readonly Found[], typed: string, most: number): Found[] {
  if (!typed.trim()) return all.slice(0, most);
  return all
    .map((found) => ({ found, worth: worthOf(found, typed) }))
    .filter(({ worth }) => worth > 0)
    .sort((a, b) => b.worth - a.worth)
    .slice(0, most)
    .map(({ found }) => found);
}
