import LineBreaker from "linebreak";
import { NEEDS_DICTIONARY } from "../text";

/**
 * A place where a line may end: `at` is an index into the text, behind the spaces. `required` is a typed
 * line end. `penalty` says how unwelcome the break is: 0 not at all, 1 as bad as a line half empty.
 */
export interface BreakPlace {
  at: number;
  required: boolean;
  penalty: number;
}

/** Break opportunities by UAX #14, with what a typesetter knows beyond it, by the text's language. */
export function breakPlaces(text: string, language: string): BreakPlace[] {
  const places = merged(unicodeBreaks(text), dictionaryBreaks(text, language));
  const inWord = insideWords(text, language);
  return places.flatMap(({ at, required }, index): BreakPlace[] => {
    if (required || at >= text.length) return [{ at, required, penalty: 0 }];
    const start = places[index - 1]?.at ?? 0;
    const before = text.slice(start, at).trimEnd();
    const after = text.slice(at, places[index + 1]?.at ?? text.length).trimEnd();
    const penalty = penaltyOf(before, after, language, text.slice(start, at) !== before);
    if (penalty === undefined) return [];
    return [{ at, required, penalty: inWord(at) ? Math.max(penalty, INSIDE_WORD) : penalty }];
  });
}

type Place = Omit<BreakPlace, "penalty">;

export function unicodeBreaks(text: string): Place[] {
  const places: Place[] = [];
  const breaker = new LineBreaker(text);
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    places.push({ at: next.position, required: next.required && next.position < text.length });
  }
  return places;
}

/** Thai, Lao, Khmer and Burmese are written without spaces; their words come from a dictionary. */
function dictionaryBreaks(text: string, language: string): Place[] {
  if (!NEEDS_DICTIONARY.test(text)) return [];
  const words = new Intl.Segmenter(language, { granularity: "word" });
  return [...words.segment(text)].flatMap(({ segment, index }) => {
    const before = text.slice(0, index);
    const between = NEEDS_DICTIONARY.test(segment) && NEEDS_DICTIONARY.test(before.slice(-1));
    return between ? [{ at: index, required: false }] : [];
  });
}

const HAN_OR_KANA = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}]/u;
/** Chinese and Japanese may be broken between any two characters; between two words reads better. */
const INSIDE_WORD = 0.5;

function insideWords(text: string, language: string): (at: number) => boolean {
  if (!HAN_OR_KANA.test(text)) return () => false;
  const words = new Intl.Segmenter(language, { granularity: "word" });
  const edges = new Set([...words.segment(text)].map(({ index }) => index));
  return (at) => !edges.has(at) && at < text.length && HAN_OR_KANA.test(text.charAt(at));
}

function merged(a: Place[], b: Place[]): Place[] {
  if (b.length === 0) return a;
  const known = new Set(a.map(({ at }) => at));
  return [...a, ...b.filter(({ at }) => !known.has(at))].sort((x, y) => x.at - y.at);
}

/** Units, currencies and the like that belong to the number before them. Common practice. */
const UNIT =
  /^(?:%|‰|°[CFK]?|€|\$|£|¥|kr|zł|Kč|Ft|km|m|cm|mm|m²|km²|kg|g|mg|t|l|ml|cl|h|min|s|ms|am|pm|a\.m\.|p\.m\.|Uhr|Hz|kHz|W|kW|kWh|V|A|px|pt|em|GB|MB|kB|Mio\.?|Mrd\.?|million|billion|percent|hours?|minutes?|days?|weeks?|years?|people|ans|jours|heures|Tage?|Jahre?)[.,;:!?)]*$/u;
const NUMBER_END = /[\d½¼¾][\d.,:’' –-]*$/;
/** What belongs to the number behind it. */
const COUNTED =
  /^[([]?(?:No\.?|Nr\.?|nº|n°|p\.|pp\.|S\.|§+|#|€|\$|£|¥|CHF|Art\.|Fig\.|Vol\.|Ch\.|Room|Hall|Gate|Saal|Raum)$/iu;
const NUMBER_START = /^\d/;
const INITIAL = /^[([“„"]?\p{Lu}\.(?:-?\p{Lu}\.)*$/u;
const DASH = /^[–—-]$/;
const MONTH =
  /^(?:jan|feb|mar|mär|mars|apr|avr|may|mai|jun|juin|jul|juil|aug|aoû|sep|oct|okt|nov|dec|dez|déc)/iu;
/** Short words that look forward to the next: articles, prepositions, conjunctions. Common practice. */
const FORWARD: Record<string, ReadonlySet<string>> = {
  en: words("a an the of in on at to by for and or but is as if so no my our your from with its"),
  de: words(
    "der die das ein eine im in am an auf zu zum zur bei von vom für und oder mit um ab bis aus",
  ),
  fr: words("le la les un une des de du en à au aux et ou sur par pour avec son sa ses ce cet"),
  es: words("el la los las un una de del en a al y o e u con por para su sus que se"),
  it: words("il lo la i gli le un una di a da in con su per tra fra e o del al nel che"),
  nl: words("de het een van in op aan te bij voor en of met om uit"),
  pt: words("o a os as um uma de do da em no na ao e ou com por para que se"),
};
/** Where a one-letter word must never end a line. */
const NO_LONE_LETTER = new Set(["pl", "cs", "sk", "ru", "uk", "be", "bg", "sl", "hr"]);
/** A glued word longer than this many letters would force the type down; then it may break after all. */
const MOST_GLUED = 16;

function words(list: string): ReadonlySet<string> {
  return new Set(list.split(" "));
}

/** Undefined where a line must not end, unless the words are too long to be kept together. */
function penaltyOf(
  before: string,
  after: string,
  language: string,
  spaced: boolean,
): number | undefined {
  if (!spaced) return insideToken(before, after);
  const base = language.split("-")[0]!.toLowerCase();
  if (mustStay(before, after, base))
    return before.length + after.length > MOST_GLUED ? 1 : undefined;
  const bare = before.replace(/^[^\p{L}]+/u, "").toLowerCase();
  if (DASH.test(after)) return 0.8;
  if (FORWARD[base]?.has(bare) || (bare.length === 1 && /\p{L}/u.test(bare))) return 0.45;
  const dated =
    (NUMBER_END.test(before) && MONTH.test(after)) ||
    (MONTH.test(before) && NUMBER_START.test(after));
  return dated ? 0.6 : 0;
}

/** Tokens such as m/f/d, 24/7 or km/h are read as one. */
const SHORT_TOKEN = 8;

/** Undefined where a token must not be parted; a hyphen of the typesetter's own is less welcome than one that was typed. */
function insideToken(before: string, after: string): number | undefined {
  if (before.endsWith("/") && before.length + after.length <= SHORT_TOKEN) return undefined;
  return before.endsWith("\u00ad") ? 0.6 : before.endsWith("-") ? 0.35 : 0;
}

function mustStay(before: string, after: string, language: string): boolean {
  if (NUMBER_END.test(before) && UNIT.test(after)) return true;
  if (COUNTED.test(before) && NUMBER_START.test(after)) return true;
  if (INITIAL.test(before) && /^\p{Lu}/u.test(after)) return true;
  if (language === "fr" && (/^[:;!?»]/.test(after) || /«$/.test(before))) return true;
  return NO_LONE_LETTER.has(language) && /^\p{L}$/u.test(before);
}
