import type { Brand, BrandColour, Typeface } from "../brand";

/** What is different in a kit, one sentence for each thing, for the list of its versions. */
export function compareBrands(before: Brand, after: Brand): string[] {
  return [
    ...(before.name === after.name ? [] : [`Called “${after.name}”, was “${before.name}”`]),
    ...compareColours(before.colours, after.colours),
    ...compareFaces("Headlines", before.typefaces.headline, after.typefaces.headline),
    ...compareFaces("Text", before.typefaces.text, after.typefaces.text),
    ...compareVoice(before.voice, after.voice),
    ...(same(before.logos, after.logos) ? [] : ["Other logos"]),
    ...(same(before.defaults, after.defaults) ? [] : ["Other defaults"]),
  ];
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

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

function compareFaces(what: string, before: Typeface, after: Typeface): string[] {
  if (same(before, after)) return [];
  if (before.family !== after.family) return [`${what} in ${after.family}, was ${before.family}`];
  return [`${what} set in another way`];
}

const VOICE: [keyof Brand["voice"], string][] = [
  ["handle", "Handle"],
  ["site", "Site"],
  ["callsToAction", "Calls to action"],
  ["tone", "Tone"],
];

const compareVoice = (before: Brand["voice"], after: Brand["voice"]): string[] =>
  VOICE.filter(([key]) => !same(before[key], after[key])).map(([, name]) => `${name} changed`);
