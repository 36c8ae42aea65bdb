import { same } from "../same";
import { logoName, type Brand, type BrandColour, type Logo, type Typeface } from "../brand";

/** What is different in a kit, one sentence for each thing, for the list of its versions. */
export function compareBrands(before: Brand, after: Brand): string[] {
  return [
    ...(before.name === after.name ? [] : [`Called “${after.name}”, was “${before.name}”`]),
    ...compareColours(before.colours, after.colours),
    ...compareTypefaces(before.typefaces, after.typefaces),
    ...compareVoice(before.voice, after.voice),
    ...compareLogos(before.logos, after.logos),
    ...compareDefaults(before.defaults, after.defaults),
    ...(same(before.spreads, after.spreads) ? [] : ["Other pinned spreads"]),
  ];
}

function compareColours(before: BrandColour[], after: BrandColour[]): string[] {
  const old = new Map(before.map((colour) => [colour.id, colour]));
  const kept = new Set(after.map(({ id }) => id));
  return [
    ...after.flatMap((colour) => compareColour(old.get(colour.id), colour)),
    ...before.filter(({ id }) => !kept.has(id)).map(({ name, hex }) => `${name} ${hex} taken out`),
  ];
}

function compareColour(before: BrandColour | undefined, after: BrandColour): string[] {
  if (!before) return [`${after.name} ${after.hex} added`];
  return [
    ...(before.name === after.name ? [] : [`${before.name} is called ${after.name}`]),
    ...(before.hex.toUpperCase() === after.hex.toUpperCase()
      ? []
      : [`${after.name} ${before.hex} → ${after.hex}`]),
    ...(before.role === after.role ? [] : [`${after.name} is ${after.role}, was ${before.role}`]),
  ];
}

const FACES = { headline: "Headlines", text: "Text", accent: "Accents" } as const;

const compareTypefaces = (before: Brand["typefaces"], after: Brand["typefaces"]): string[] =>
  (["headline", "text", "accent"] as const).flatMap((role) =>
    compareFaces(FACES[role], before[role], after[role]),
  );

function compareFaces(what: string, before?: Typeface, after?: Typeface): string[] {
  if (same(before, after)) return [];
  if (!after) return [`${what} have no typeface of their own any more`];
  if (!before) return [`${what} in ${after.family}`];
  if (before.family !== after.family) return [`${what} in ${after.family}, was ${before.family}`];
  return [`${what} set in another way`];
}

function compareLogos(before: Logo[], after: Logo[]): string[] {
  const had = new Set(before.map(({ file }) => file));
  const has = new Set(after.map(({ file }) => file));
  const kept = (logos: Logo[], in_: Set<string>) => logos.filter(({ file }) => in_.has(file));
  return [
    ...after.filter(({ file }) => !had.has(file)).map((logo) => `A ${logoName(logo)} added`),
    ...before.filter(({ file }) => !has.has(file)).map((logo) => `A ${logoName(logo)} taken out`),
    ...(same(kept(before, has), kept(after, had)) ? [] : ["Logos used in another way"]),
  ];
}

const DEFAULTS: [keyof Brand["defaults"], string][] = [
  ["corner", "Corners"],
  ["treatment", "Picture treatment"],
  ["plateStrength", "Plate strength"],
  ["marginScale", "Margins"],
];

const compareDefaults = (before: Brand["defaults"], after: Brand["defaults"]): string[] =>
  DEFAULTS.filter(([key]) => !same(before[key], after[key])).map(([, name]) => `${name} changed`);

const VOICE: [keyof Brand["voice"], string][] = [
  ["handle", "Handle"],
  ["site", "Site"],
  ["callsToAction", "Calls to action"],
  ["hashtags", "Hashtags"],
  ["avoid", "Words to avoid"],
  ["tone", "Tone"],
];

const compareVoice = (before: Brand["voice"], after: Brand["voice"]): string[] =>
  VOICE.filter(([key]) => !same(before[key], after[key])).map(([, name]) => `${name} changed`);

/** Whether graphics that were made before would come out otherwise now: words of the voice do not count. */
export const looksOther = (before: Brand, after: Brand): boolean =>
  !same(contentsOf(before), contentsOf(after));

const contentsOf = ({ colours, typefaces, logos, defaults, spreads, voice }: Brand): unknown => [
  colours.map(({ id, hex, role }) => [id, hex.toUpperCase(), role]),
  typefaces,
  logos,
  defaults,
  spreads,
  voice.handle,
  voice.site,
];
