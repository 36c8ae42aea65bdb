import { z } from "zod";
import { Typeface } from "../brand";
import { FileId } from "../files";
import { hanLanguage, scriptOf } from "../text";
import data from "./catalogue.json";

const ShelfFace = z.object({ file: FileId, path: z.string(), weight: z.number().int() });

/** `scripts` are those that every face of the family has whole. */
const ShelfFamily = z.object({
  id: z.string(),
  family: z.string(),
  character: z.string(),
  feelings: z.array(z.string()),
  scripts: z.array(z.string()),
  faces: z.array(ShelfFace).min(1),
});
export type ShelfFamily = z.infer<typeof ShelfFamily>;

/** `languages` are those whose shape of Chinese characters the family has, where that is told apart (BCP 47). */
const Fallback = ShelfFamily.omit({ character: true, feelings: true }).extend({
  languages: z.array(z.string()).optional(),
});
type Fallback = z.infer<typeof Fallback>;

/** The typefaces that ship with the program, and those that help out where a typeface lacks a script. */
const shelf = z
  .object({ families: z.array(ShelfFamily), fallbacks: z.array(Fallback) })
  .parse(data);
export const families: readonly ShelfFamily[] = shelf.families;
export const fallbacks = shelf.fallbacks;

/** Every shipped font file by its name in the store, with its path under `fonts/`. */
export const shippedFonts: ReadonlyMap<FileId, string> = new Map(
  [...families, ...fallbacks].flatMap(({ faces }) =>
    faces.map(({ file, path }) => [file, path] as const),
  ),
);

const typefaces = new Map(
  families.map((family) => [family.id, Typeface.parse({ ...family, faces: family.faces })]),
);

/** A shipped family as a typeface; the same object each time. */
export const shelfTypeface = (id: string): Typeface | undefined => typefaces.get(id);

const KANA_AND_HAN = new Set(["Hira", "Kana", "Hani", "Bopo"]);
const EMOJI = /\p{Extended_Pictographic}|\p{Regional_Indicator}|\u20e3/u;
/** Arrows, signs of arithmetic and the like, which many typefaces of letters lack. */
const SYMBOL = /[\p{Sm}\p{So}]/u;
const WIDE_PUNCTUATION = /[\u3000-\u303f\uff00-\uffef]/;
const byScript: Record<string, string> = {
  Arab: "arabic",
  Hebr: "hebrew",
  Deva: "devanagari",
  Thai: "thai",
  Grek: "greek",
  Cyrl: "cyrillic",
  Hang: "hangul",
};

const HAN = "cjk";
const hanFamilies = fallbacks.filter(({ scripts }) => scripts.includes(HAN));

/** The family whose Chinese characters are shaped as the language does, or as the text's other characters let one think. */
function hanFamily(language: string, text: string): Fallback | undefined {
  const serves = (wanted: string) =>
    hanFamilies.find(({ languages = [] }) => languages.includes(wanted));
  const [base, script] = language.split("-");
  const traditional = script && ["Hant", "TW", "HK"].includes(script) ? `${base}-Hant` : undefined;
  const guessed = hanLanguage(text);
  return serves(traditional ?? base!) ?? (guessed ? serves(guessed) : undefined) ?? hanFamilies[0];
}

/** The shipped families that help out, those first that are made for the language. */
export function helpingFor(language: string): readonly Fallback[] {
  const own = hanFamily(language, "");
  return own ? [own, ...fallbacks.filter((family) => family !== own)] : fallbacks;
}

/** The shipped fonts that can set what is not `covered`, in a language; none when no shipped font can. */
export function fallbackFonts(
  text: string,
  covered: (codePoint: number) => boolean,
  language = "",
): FileId[] {
  const wanted = new Set<string>();
  for (const character of new Set(text)) {
    const point = character.codePointAt(0)!;
    if (point <= 0x20) continue;
    if (EMOJI.test(character) && point > 0xff) wanted.add("emoji");
    else if (!covered(point)) wanted.add(kindOf(character, point));
  }
  const han = wanted.delete(HAN) ? hanFamily(language, text) : undefined;
  return fallbacks
    .filter((family) => family === han || family.scripts.some((script) => wanted.has(script)))
    .flatMap(({ faces }) => faces.map(({ file }) => file));
}

function kindOf(character: string, point: number): string {
  const script = scriptOf(point);
  if (KANA_AND_HAN.has(script) || WIDE_PUNCTUATION.test(character)) return "cjk";
  return byScript[script] ?? (SYMBOL.test(character) ? "symbols" : "latin");
}
