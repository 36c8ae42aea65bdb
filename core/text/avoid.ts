const LETTER = /[\p{L}\p{N}]/u;

/** Which of the words or phrases stand in the text, as whole words, whatever their case. */
export function avoided(text: string, phrases: readonly string[]): string[] {
  const inside = folded(text);
  return phrases.filter((phrase) => holds(inside, folded(phrase)));
}

const folded = (text: string): string => text.toLowerCase().replace(/\s+/g, " ").trim();

function holds(text: string, phrase: string): boolean {
  if (!phrase) return false;
  for (let at = text.indexOf(phrase); at >= 0; at = text.indexOf(phrase, at + 1)) {
    const before = text.slice(0, at).at(-1) ?? "";
    const after = text.slice(at + phrase.length).at(0) ?? "";
    if (!LETTER.test(before) && !LETTER.test(after)) return true;
  }
  return false;
}
