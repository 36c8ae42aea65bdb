import type { Brand, Logo, Palette } from "../brand";
import { baseId, contrast, CONTRAST_TEXT, hexOf, tintId, type Hex } from "../colour";
import type { ListedPicture, PictureLookup, Share } from "../files";
import { box, type Box } from "../geometry";
import type { LogoVersion } from "./resolved";

/** What is inked of a file, in its pixels; all of it where nothing is known. */
export function artOf({ width, height, art }: ListedPicture): Box {
  if (!art) return box(0, 0, width, height);
  return box(art.x * width, art.y * height, art.width * width, art.height * height);
}

/** The logo in all its versions: the kit's, and where it has no mark, the one that stands apart in a full logo. */
export function versionsOf(
  { logos }: Pick<Brand, "logos">,
  pictures: PictureLookup<ListedPicture>,
): LogoVersion[] {
  const own = logos.flatMap((logo): LogoVersion[] => {
    const file = pictures(logo.file);
    return file ? [{ logo, file, art: logo.part ? partOf(file, logo.part) : artOf(file) }] : [];
  });
  if (own.some(({ logo }) => logo.kind === "mark")) return own;
  const found = own.flatMap(({ logo, file }): LogoVersion[] =>
    file.art?.mark && !logo.part
      ? [{ logo: markOf(logo), file, art: partOf(file, file.art.mark) }]
      : [],
  );
  return [...own, ...found];
}

const partOf = ({ width, height }: ListedPicture, part: Share): Box =>
  box(part.x * width, part.y * height, part.width * width, part.height * height);

const marks = new WeakMap<Logo, Logo>();

/** The same object for the same logo, since versions are told apart by it. */
function markOf(logo: Logo): Logo {
  let mark = marks.get(logo);
  if (!mark) {
    const { leastWidth: _leastWidth, ...rest } = logo;
    marks.set(logo, (mark = { ...rest, kind: "mark" }));
  }
  return mark;
}

/** Ink lighter than this many times its darkest (WCAG contrast) has a drawing inside that an outline would lose. Our own measure. */
const MOST_INNER = 3.2;

/** Whether a drawing says what it is by its outline alone, so that it can be filled with one colour. */
export const isOutline = ({ art }: ListedPicture): boolean =>
  art !== undefined &&
  art.ground === undefined &&
  (art.light + 0.05) / (art.dark + 0.05) <= MOST_INNER;

/** Longer than this it is letters, and letters cut by the frame look like a mistake. */
const MOST_RATIO = 1.7;

/** The brand's mark as an ornament; undefined when it has none that is an outline. */
export function emblemOf(
  brand: Brand,
  pictures: PictureLookup<ListedPicture>,
): Omit<LogoVersion, "logo"> | undefined {
  const all = versionsOf(brand, pictures);
  return [...all]
    .sort((a, b) => Number(b.logo.kind === "mark") - Number(a.logo.kind === "mark"))
    .find(({ file, art: { width, height } }) => {
      return isOutline(file) && Math.max(width / height, height / width) <= MOST_RATIO;
    });
}

/** An emblem lies under words: it is told from its ground, and takes nothing from them. By eye. */
const CALM = { least: 1.12, most: 1.7, wanted: 1.35 } as const;
const LIGHTNESSES = [8, 12, 16, 20, 24, 28, 32, 36, 42, 48, 54, 60, 66, 72, 78, 84, 90, 94, 97];

/**
 * A tint of the ground on which everything that may lie over it still reads; undefined where there is none. Of two that
 * are as calm, the one that words stand out from more.
 */
export function emblemColour(
  { colours }: Brand,
  ground: string | undefined,
  { backdrop, headline, support, detail }: Palette,
): Hex | undefined {
  const base = colours.find(({ id }) => id === baseId(ground ?? ""))?.id;
  if (base === undefined) return undefined;
  const over = [headline, support, detail];
  const tints = LIGHTNESSES.flatMap((step) => {
    const hex = hexOf(colours, tintId(base, step));
    if (!hex) return [];
    const calm = contrast(hex, backdrop);
    const reads = Math.min(...over.map((words) => contrast(words, hex)));
    return calm >= CALM.least && calm <= CALM.most && reads >= CONTRAST_TEXT
      ? [{ hex, worth: Math.min(1, reads / 9) - Math.abs(calm - CALM.wanted) }]
      : [];
  });
  return tints.sort((a, b) => b.worth - a.worth)[0]?.hex;
}
