import { mayStandOn, type Brand, type Logo } from "../brand";
import { luminance, type Hex } from "../colour";
import type { ListedPicture, PictureLookup } from "../files";
import { isOutline, versionsOf } from "../resolve";

/** A version of the logo that a kit lacks, and that can be made from one that it has. */
export interface LogoProposal {
  logo: Logo;
  /** What it is made from; `logo.file` until it has been made. */
  from: ListedPicture;
  /** What its outline is filled with, where it has yet to be made; in its own colours when not given. */
  ink?: Hex;
}

/**
 * The versions that are made for a size when it is painted, as far as the kit does not hold them: the mark that stands
 * apart in a full logo, and one-colour versions for the grounds that none of its logos is seen on.
 */
export function proposedLogos(
  brand: Pick<Brand, "colours" | "logos">,
  pictures: PictureLookup<ListedPicture>,
): LogoProposal[] {
  const versions = versionsOf(brand, pictures);
  const marks = versions
    .filter(({ logo }) => !brand.logos.includes(logo))
    .flatMap(({ logo, file }): LogoProposal[] => {
      const part = file.art?.mark;
      return part ? [{ logo: { ...logo, part }, from: file }] : [];
    });
  return [...marks, ...inOneColour(brand, versions)];
}

type Version = ReturnType<typeof versionsOf>[number];

function inOneColour({ colours }: Pick<Brand, "colours">, versions: Version[]): LogoProposal[] {
  const source = versions.find(({ logo, file }) => !logo.part && isOutline(file));
  if (!source) return [];
  const byLight = colours.map(({ hex }) => hex).sort((a, b) => luminance(a) - luminance(b));
  return (["light", "dark"] as const).flatMap((ground): LogoProposal[] => {
    const under = ground === "light" ? 1 : 0;
    const served = versions.some(({ logo, file }) => mayStandOn(logo, file.art, under));
    if (served) return [];
    const { part: _part, ...logo } = source.logo;
    const ink = inkFor(ground, byLight);
    return [{ logo: { ...logo, ink: "one-colour", ground }, from: source.file, ink }];
  });
}

/** The kit's darkest colour for light grounds and its lightest for dark ones, where it is dark or light enough. */
function inkFor(ground: "light" | "dark", byLight: readonly Hex[]): Hex {
  const [own, plain] = ground === "light" ? [byLight[0], "#000000"] : [byLight.at(-1), "#FFFFFF"];
  const seen = own !== undefined && luminance(own) < 0.3 === (ground === "light");
  return seen ? own : plain;
}
