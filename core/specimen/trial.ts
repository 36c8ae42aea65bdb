import { Typeface, type Brand } from "../brand";
import type { FileId } from "../files";

/** The kit with another font for its headlines, to see what it would look like. */
export const inFont = (brand: Brand, file: FileId): Brand => ({
  ...brand,
  typefaces: {
    ...brand.typefaces,
    headline: Typeface.parse({ family: "On trial", faces: [{ file, weight: 400 }] }),
  },
});
