import { isText, type Piece } from "../piece";
import { languageOf } from "./language";

/**
 * The piece after its words were exchanged, in the language that these seem to be in. What a person said of the language
 * stays, and so does what was found before where nothing is sure.
 */
export function inItsLanguage(before: Piece, after: Piece): Piece {
  const [said, says] = [wordsOf(before), wordsOf(after)];
  if (said === says || before.language !== after.language) return after;
  if (after.language !== undefined && after.language !== languageOf(said)) return after;
  return { ...after, language: languageOf(says) ?? after.language };
}

const wordsOf = ({ message }: Piece): string =>
  Object.values(message)
    .flatMap((filling) => (isText(filling) ? [filling.text] : []))
    .join("\n");
