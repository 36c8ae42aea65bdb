/** A title longer than this is cut at a word, or within one that is longer itself. */
const MOST_TITLE = 48;

/** What a message says first, without its marks; else the given name. */
export function titleFor(words: Readonly<Record<string, string>>, otherwise: string): string {
  const said = words.headline ?? words.quote ?? words.support ?? Object.values(words)[0] ?? "";
  const plain = said
    .replace(/[*_~=“”"„]/g, "")
    .split("\n")[0]!
    .trim();
  if (!plain) return otherwise;
  const letters = [...plain];
  if (letters.length <= MOST_TITLE) return plain;
  const cut = letters.slice(0, MOST_TITLE).join("");
  const end = cut.lastIndexOf(" ");
  return `${end > 0 ? cut.slice(0, end) : cut} …`;
}
