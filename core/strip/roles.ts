import { isText, type Piece, type SlideRole } from "../piece";
import { slideCount } from "./slide";

/** What a slide says, whatever it was read from. */
export type SlideWords = Readonly<Record<string, string>>;

/** The order of a telling that is meant to move somebody: attention, interest, desire, action (E. St Elmo Lewis, 1898). */
export const STAGES = ["attention", "interest", "desire", "action"] as const;
export type Stage = (typeof STAGES)[number];

export const STAGE_OF: Readonly<Record<SlideRole, Stage>> = {
  title: "attention",
  context: "interest",
  point: "interest",
  proof: "desire",
  summary: "desire",
  ask: "action",
};

/** Words that ask for something stand in these slots. */
const ASKING = ["call-to-action", "site", "price"];
const SUMMING =
  /^(?:in short|in brief|to sum up|summary|recap|what to remember|kurz gesagt|fazit)\b/i;
/** A headline that begins with a number with its unit, or has a share in it, tells of something that was counted. */
const COUNTED = /^\s*[\d.,]+\s*(?:%|‰|×|x\b|in \d|of \d)|\d\s*%/;

/** What each slide does in the telling, by its place and by what it says; `given` is what a person chose. */
export function rolesOf(
  slides: readonly SlideWords[],
  given: readonly (SlideRole | undefined)[] = [],
): SlideRole[] {
  const last = slides.length - 1;
  return slides.map((words, index) => {
    if (index === 0) return "title";
    const chosen = given[index];
    if (chosen) return chosen;
    if (index === last && ASKING.some((slot) => words[slot])) return "ask";
    return roleBySaying(words, index, last);
  });
}

function roleBySaying(words: SlideWords, index: number, last: number): SlideRole {
  const headline = words.headline ?? "";
  if (SUMMING.test(headline)) return "summary";
  if (words.quote || words.figure || COUNTED.test(headline)) return "proof";
  // The first thing after the title is what the rest stands on, where it is told rather than listed.
  if (index === 1 && last > 3 && words.body && !words.list) return "context";
  return "point";
}

/** The roles of a strip's slides. */
export function stripRoles(strip: Piece): SlideRole[] {
  const all = [strip, ...(strip.slides ?? [])];
  return rolesOf(
    all.map(({ message }) => wordsIn(message)),
    [undefined, ...(strip.slides ?? []).map(({ role }) => role)],
  );
}

/** What a message says by slot, without its pictures. */
export const wordsIn = (message: Piece["message"]): Record<string, string> =>
  Object.fromEntries(
    Object.entries(message).flatMap(([slot, filling]) =>
      isText(filling) && filling.text.trim() ? [[slot, filling.text]] : [],
    ),
  );

/** Fewer slides than that are a short word, which needs no order of telling. Common practice. */
const TELLING = 4;

/** Stages that a telling of some length does without. */
export function missingStages(strip: Piece): Stage[] {
  if (slideCount(strip) < TELLING) return [];
  const there = new Set(stripRoles(strip).map((role) => STAGE_OF[role]));
  return STAGES.filter((stage) => !there.has(stage));
}
