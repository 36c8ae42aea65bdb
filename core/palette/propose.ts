import { converter } from "culori";
import type { BrandColour, BrandRole } from "../brand";
import { colourName, contrast, difference, GREY, luminance, type Hex } from "../colour";
import type { PaletteReading } from "./read";
import { colourWords } from "../wording/kits";

/** A colour that a kit could take, and where it comes from. */
export interface ProposedColour extends BrandColour {
  from: string;
}

const toOklch = converter("oklch");
const chromaOf = (hex: Hex): number => toOklch(hex)?.c ?? 0;

/** Words in ink on paper reach this contrast at least (WCAG 2.2, 1.4.6). */
const INK_ON_PAPER = 7;
const MOST = 8;

/**
 * Roles for what was read off a picture: the ground is paper when it is light, the largest colour is
 * primary, the liveliest of the rest is accent. What a kit cannot do without is added and says so.
 */
export function proposeColours({ ground, colours }: PaletteReading): ProposedColour[] {
  const all = [...colours, ...(ground ? [ground] : [])].slice(0, MOST).map(({ hex }) => hex);
  const roles = new Map<Hex, BrandRole>();
  const lively = all.filter((hex) => chromaOf(hex) >= GREY);
  const primary = lively.find((hex) => contrast(hex, "#ffffff") >= 3) ?? lively[0] ?? all[0];
  if (primary) roles.set(primary, "primary");
  const rest = lively.filter((hex) => hex !== primary);
  const accent = [...rest].sort((a, b) => chromaOf(b) - chromaOf(a))[0];
  if (accent) roles.set(accent, "accent");
  const secondary = rest.find((hex) => hex !== accent);
  if (secondary) roles.set(secondary, "secondary");
  const open = all.filter((hex) => !roles.has(hex));
  const paper = lightest(open.filter((hex) => luminance(hex) > 0.7));
  if (paper) roles.set(paper, "paper");
  const ink = open.filter((hex) => contrast(hex, paper ?? "#ffffff") >= INK_ON_PAPER)[0];
  if (ink && ink !== paper) roles.set(ink, "ink");
  const found = all.map((hex) =>
    proposal(hex, roles.get(hex) ?? "free", fromPicture(hex, ground?.hex)),
  );
  const added = missing(found.map(({ role }) => role)).filter(
    ({ hex }) => !all.some((own) => difference(own, hex) < 2),
  );
  return named([...found, ...added]);
}

const lightest = (list: Hex[]): Hex | undefined =>
  [...list].sort((a, b) => luminance(b) - luminance(a))[0];

const fromPicture = (hex: Hex, ground: Hex | undefined): string =>
  hex === ground ? colourWords.ofGround() : colourWords.ofArea();

const proposal = (hex: Hex, role: BrandRole, from: string): ProposedColour => ({
  id: "",
  name: "",
  hex: hex.toUpperCase(),
  role,
  from,
});

/** Something light to stand on and something dark to write with. */
const missing = (roles: BrandRole[]): ProposedColour[] => [
  ...(roles.includes("paper") ? [] : [proposal("#FFFFFF", "paper", colourWords.addedPaper())]),
  ...(roles.includes("ink") || roles.includes("primary")
    ? []
    : [proposal("#1A1A1A", "ink", colourWords.addedInk())]),
];

/** Names and ids that no other colour of the list has. */
function named(colours: ProposedColour[]): ProposedColour[] {
  const taken = new Map<string, number>();
  return colours.map((colour) => {
    const plain = colourName(colour.hex);
    const count = (taken.get(plain) ?? 0) + 1;
    taken.set(plain, count);
    const name = count === 1 ? plain : `${plain} ${count}`;
    return { ...colour, name, id: name.toLowerCase().replace(/\s+/g, "-") };
  });
}
