import { same } from "../same";
import type { Brand, BrandColour, Logo, Typeface } from "../brand";
import { kitWords } from "../wording/kits";

/** What is different in a kit, one sentence for each thing, for the list of its versions. */
export function compareBrands(before: Brand, after: Brand): string[] {
  return [
    ...(before.name === after.name
      ? []
      : [kitWords.renamed({ before: before.name, after: after.name })]),
    ...compareColours(before.colours, after.colours),
    ...compareTypefaces(before.typefaces, after.typefaces),
    ...compareVoice(before.voice, after.voice),
    ...compareLogos(before.logos, after.logos),
    ...(before.portrait === after.portrait ? [] : [kitWords.changed({ what: "portrait" })]),
    ...compareDefaults(before.defaults, after.defaults),
    ...(same(before.spreads, after.spreads) ? [] : [kitWords.spreads()]),
  ];
}

function compareColours(before: BrandColour[], after: BrandColour[]): string[] {
  const old = new Map(before.map((colour) => [colour.id, colour]));
  const kept = new Set(after.map(({ id }) => id));
  return [
    ...after.flatMap((colour) => compareColour(old.get(colour.id), colour)),
    ...before.filter(({ id }) => !kept.has(id)).map(kitWords.colourGone),
  ];
}

function compareColour(before: BrandColour | undefined, after: BrandColour): string[] {
  if (!before) return [kitWords.colourAdded(after)];
  const { name } = after;
  return [
    ...(before.name === after.name
      ? []
      : [kitWords.colourRenamed({ before: before.name, after: after.name })]),
    ...(before.hex.toUpperCase() === after.hex.toUpperCase()
      ? []
      : [kitWords.colourChanged({ name, before: before.hex, after: after.hex })]),
    ...(before.role === after.role
      ? []
      : [kitWords.colourRole({ name, before: before.role, after: after.role })]),
  ];
}

const compareTypefaces = (before: Brand["typefaces"], after: Brand["typefaces"]): string[] =>
  (["headline", "text", "accent"] as const).flatMap((role) =>
    compareFaces(role, before[role], after[role]),
  );

function compareFaces(
  role: keyof Brand["typefaces"],
  before?: Typeface,
  after?: Typeface,
): string[] {
  if (same(before, after)) return [];
  if (!after) return [kitWords.faceGone({ role })];
  if (!before) return [kitWords.faceAdded({ role, family: after.family })];
  if (before.family !== after.family)
    return [kitWords.faceChanged({ role, before: before.family, after: after.family })];
  return [kitWords.faceSet({ role })];
}

function compareLogos(before: Logo[], after: Logo[]): string[] {
  const had = new Set(before.map(({ file }) => file));
  const has = new Set(after.map(({ file }) => file));
  const kept = (logos: Logo[], in_: Set<string>) => logos.filter(({ file }) => in_.has(file));
  return [
    ...after.filter(({ file }) => !had.has(file)).map((logo) => kitWords.logoAdded({ logo })),
    ...before.filter(({ file }) => !has.has(file)).map((logo) => kitWords.logoGone({ logo })),
    ...(same(kept(before, has), kept(after, had)) ? [] : [kitWords.logos()]),
  ];
}

const DEFAULTS = ["corner", "treatment", "plateStrength", "marginScale"] as const;

const compareDefaults = (before: Brand["defaults"], after: Brand["defaults"]): string[] =>
  DEFAULTS.filter((what) => !same(before[what], after[what])).map((what) =>
    kitWords.changed({ what }),
  );

const VOICE = ["handle", "site", "callsToAction", "hashtags", "avoid", "tone"] as const;

const compareVoice = (before: Brand["voice"], after: Brand["voice"]): string[] =>
  VOICE.filter((what) => !same(before[what], after[what])).map((what) =>
    kitWords.changed({ what }),
  );

/** Whether graphics that were made before would come out otherwise now: words of the voice do not count. */
export const looksOther = (before: Brand, after: Brand): boolean =>
  !same(contentsOf(before), contentsOf(after));

const contentsOf = ({
  colours,
  typefaces,
  logos,
  portrait,
  defaults,
  spreads,
  voice,
}: Brand): unknown => [
  colours.map(({ id, hex, role }) => [id, hex.toUpperCase(), role]),
  typefaces,
  logos,
  portrait,
  defaults,
  spreads,
  voice.handle,
  voice.site,
];
