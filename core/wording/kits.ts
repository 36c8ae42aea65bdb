/** What is different in a brand kit, as its versions say it. */
export const kitWords = {
  renamed: (p: { before: string; after: string }) => `Called “${p.after}”, was “${p.before}”`,
  spreads: () => "Other pinned spreads",
  colourAdded: (p: { name: string; hex: string }) => `${p.name} ${p.hex} added`,
  colourGone: (p: { name: string; hex: string }) => `${p.name} ${p.hex} taken out`,
  colourRenamed: (p: { before: string; after: string }) => `${p.before} is called ${p.after}`,
  colourChanged: (p: { name: string; before: string; after: string }) =>
    `${p.name} ${p.before} → ${p.after}`,
  colourRole: (p: { name: string; before: string; after: string }) =>
    `${p.name} is ${p.after}, was ${p.before}`,
  faceGone: (p: { role: FaceRole }) => `${FACES[p.role]} have no typeface of their own any more`,
  faceAdded: (p: { role: FaceRole; family: string }) => `${FACES[p.role]} in ${p.family}`,
  faceChanged: (p: { role: FaceRole; before: string; after: string }) =>
    `${FACES[p.role]} in ${p.after}, was ${p.before}`,
  faceSet: (p: { role: FaceRole }) => `${FACES[p.role]} set in another way`,
  logoAdded: (p: { logo: LogoWords }) => `A ${logoName(p.logo)} added`,
  logoGone: (p: { logo: LogoWords }) => `A ${logoName(p.logo)} taken out`,
  logos: () => "Logos used in another way",
  changed: (p: { what: keyof typeof PARTS }) => `${PARTS[p.what]} changed`,
} as const;

type FaceRole = keyof typeof FACES;
const FACES = { headline: "Headlines", text: "Text", accent: "Accents" } as const;

const PARTS = {
  portrait: "Profile picture",
  corner: "Corners",
  treatment: "Picture treatment",
  plateStrength: "Plate strength",
  marginScale: "Margins",
  handle: "Handle",
  site: "Site",
  callsToAction: "Calls to action",
  hashtags: "Hashtags",
  avoid: "Words to avoid",
  tone: "Tone",
} as const;

interface LogoWords {
  kind: "full" | "mark";
  ink: "own" | "one-colour";
  ground: "light" | "dark" | "any";
}

/** A version of a logo as a person calls it. */
export const logoName = ({ kind, ink, ground }: LogoWords): string =>
  `${ink === "one-colour" ? "one-colour " : ""}${kind === "full" ? "full logo" : "mark"} for ${ground} ground${ground === "any" ? "" : "s"}`;

/** Why graphics that were made before would come out otherwise now. */
export const outdatedWords = {
  brand: (p: { name: string }) => `It is in ${p.name} now`,
  piece: () => "The piece was changed",
  placement: (p: { name: string }) => `“${p.name}” was corrected`,
} as const;

/** What a person should look at when a piece was given another brand. */
export const rebrandWords = {
  colour: (p: { from: string; into: string; role?: string | undefined; apart: number }) =>
    `${p.from} became ${p.into}: ${p.role ? `both are ${p.role}` : "the nearest there is"}, ΔE00 ${p.apart.toFixed(1)}`,
  noLogo: (p: { name: string }) => `${p.name} has no logo, so its place stays empty`,
  noHandle: (p: { name: string }) => `${p.name} has no handle`,
  noSite: (p: { name: string }) => `${p.name} has no site`,
} as const;

/** What was left out of a file of colours, and where proposed colours come from. */
export const colourWords = {
  noJson: (p: { why: string | undefined }) =>
    `The tokens cannot be read as JSON: ${p.why ?? "it is damaged"}.`,
  badLine: (p: { line: number }) =>
    `Line ${p.line} is not three numbers from 0 to 255 and is left out.`,
  badToken: (p: { token: string }) =>
    `The colour token “${p.token}” cannot be read and is left out.`,
  unnamed: (p: { line: number }) => `Colour ${p.line}`,
  ofGround: () => "the ground of the picture",
  ofArea: () => "a flat area of the picture",
  addedPaper: () => "added: a kit needs a light ground",
  addedInk: () => "added: a kit needs a colour for words",
} as const;
