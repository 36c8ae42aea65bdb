/** From so many letters on a headline is a sentence that is read, not a line that is seen. By eye. */
const PROSE = 110;
/** Characters that stand for a syllable or a word. */
const DENSE = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}]/gu;

/** Whether words are so many that they are set as text, whatever their role. */
export const isProse = (words: string): boolean =>
  words.length + (words.match(DENSE)?.length ?? 0) > PROSE;
