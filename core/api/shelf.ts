import type { Brand } from "../brand";
import type { StoredPicture } from "./schemas";

/** Stored pictures to choose from; logos are the brands' own and are not among them. */
export function photographsIn(
  pictures: readonly StoredPicture[],
  brands: readonly Brand[],
): StoredPicture[] {
  const logos = new Set(brands.flatMap((brand) => brand.logos.map((logo) => logo.file)));
  return pictures.filter((picture) => !logos.has(picture.id));
}

/** Those that a brand may show: its own, and photographs that belong to nobody; a stray drawing is some other's logo. */
export const photographsOf = (
  photographs: readonly StoredPicture[],
  brand: string,
): StoredPicture[] =>
  photographs.filter(({ brands: owners, art }) =>
    owners.length === 0 ? art === undefined : owners.includes(brand),
  );
