import { z } from "zod";
import type { Hex } from "../colour";
import { luminance, MIDDLE_LUMINANCE } from "../colour";
import { FileId, type PictureFile } from "../files";
import { shelfTypeface } from "../shelf";
import { Brand, BrandColour, Logo, Typeface } from "../brand";

export const MOST_COLOURS = 16;

/** A typeface to begin with: a shipped family, or a stored font under a name of its own. */
export const TypefaceChoice = z.union([
  z.object({ shelf: z.string().min(1) }),
  z.object({ file: FileId, family: z.string().min(1).max(80) }),
]);
export type TypefaceChoice = z.infer<typeof TypefaceChoice>;

/** What a new kit is made of; everything else has a default that can be changed later. */
export const NewBrand = z.object({
  name: z.string().trim().min(1, "a brand needs a name").max(80),
  colours: z
    .array(BrandColour.omit({ id: true }))
    .min(1, "a kit needs at least one colour")
    .max(MOST_COLOURS, `a kit holds at most ${MOST_COLOURS} colours`),
  headline: TypefaceChoice,
  text: TypefaceChoice,
  logo: FileId.optional(),
  /** The logo keeps the flat ground that it stands on; most look better without. */
  keepGround: z.boolean().default(false),
});
export type NewBrand = z.input<typeof NewBrand>;

/** The kit; `logo` is what is known of its logo's file. Undefined when a chosen family is not on the shelf. */
export function makeBrand(
  id: string,
  wanted: NewBrand,
  logo: PictureFile | undefined,
): Brand | undefined {
  const [headline, text] = [typefaceOf(wanted.headline), typefaceOf(wanted.text)];
  if (!headline || !text) return undefined;
  return Brand.parse({
    format: "zestcrate/brand",
    version: 1,
    id,
    name: wanted.name,
    colours: withIds(wanted.colours),
    typefaces: { headline, text },
    logos: logo
      ? [
          asLogo(
            logo,
            wanted.colours.map(({ hex }) => hex),
          ),
        ]
      : [],
  });
}

export function typefaceOf(choice: TypefaceChoice): Typeface | undefined {
  if ("shelf" in choice) return shelfTypeface(choice.shelf);
  const faces = [{ file: choice.file, weight: 400 }];
  return Typeface.parse({ family: choice.family, faces });
}

/** Ids are the names, made safe; two of one name are told apart by number. */
function withIds(colours: Omit<BrandColour, "id">[]): BrandColour[] {
  const taken = new Set<string>();
  return colours.map((colour) => {
    const id = colourId(colour.name, taken);
    taken.add(id);
    return { ...colour, id };
  });
}

/** An id for a colour of that name which no other has. */
export function colourId(name: string, taken: ReadonlySet<string>): string {
  const plain = name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, "-") || "colour";
  let id = plain;
  for (let n = 2; taken.has(id); n++) id = `${plain}-${n}`;
  return id;
}

/** Wider than this many times its height, it is read as a whole logo and not as a mark. */
const FULL = 1.6;

/** A logo stands on what its own ink stands out from: a dark one on light grounds, a light one on dark. */
export function asLogo({ id, width, height, tones, art }: PictureFile, colours: Hex[]): Logo {
  const ratio = art ? (art.width * width) / (art.height * height) : width / height;
  const grey = tones.grey.reduce((a, b) => a + b, 0) / tones.grey.length;
  const light = colours.length > 0 && Math.max(...colours.map(luminance)) < MIDDLE_LUMINANCE;
  const isDark = art ? (art.dark + art.light) / 2 <= MIDDLE_LUMINANCE * 2 : grey > 0.5 || light;
  return Logo.parse({
    kind: ratio > FULL ? "full" : "mark",
    ground: isDark ? "light" : "dark",
    file: id,
  });
}
