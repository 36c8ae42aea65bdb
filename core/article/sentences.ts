/** What ends in a full stop and no sentence does. Common abbreviations of the languages that use the Latin script. */
const ABBREVIATED =
  /(?:^|[\s(])(?:[A-ZÄÖÜ]|z|u|d|e\.g|i\.e|z\.\s?B|u\.\s?a|d\.\s?h|bzw|usw|ca|Dr|Prof|Mr|Mrs|Ms|St|Nr|No|vs|etc|approx|M|Mme)\.$/u;

/** The sentences of a text in its language (BCP 47), word for word; together they are the text. */
export function sentencesOf(text: string, language: string): string[] {
  const segmenter = new Intl.Segmenter(language, { granularity: "sentence" });
  const found: string[] = [];
  for (const { segment } of segmenter.segment(text)) {
    const last = found.at(-1);
    if (last !== undefined && ABBREVIATED.test(last.trimEnd()))
      found[found.length - 1] = last + segment;
    else found.push(segment);
  }
  return found.map((sentence) => sentence.trim()).filter(Boolean);
}

/** The words of a sentence that carry its meaning, as far as length tells: those of four letters and more, and numbers. */
export function wordsOf(sentence: string, language: string): Set<string> {
  const segmenter = new Intl.Segmenter(language, { granularity: "word" });
  const words = [...segmenter.segment(sentence)]
    .filter(({ isWordLike }) => isWordLike)
    .map(({ segment }) => segment.toLocaleLowerCase(language));
  return new Set(
    words.filter((word) => [...word].length >= LEAST || /\d|\p{Script=Han}/u.test(word)),
  );
}

const LEAST = 4;
