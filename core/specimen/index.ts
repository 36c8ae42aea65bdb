import type { Brand } from "../brand";
import type { FileId } from "../files";
import { coloursSheet } from "./colours";
import { effectsSheet } from "./effects";
import { familiesSheet } from "./families";
import { picturesSheet } from "./pictures";
import { scriptsSheet } from "./scripts";
import { wordsSheet } from "./words";
import { shapesSheet } from "./shapes";
import type { Specimen } from "./sheet";

export { brandSheet } from "./brand-sheet";
export type { Specimen } from "./sheet";
export { inFont } from "./trial";

/** What the program can paint, page by page, in a brand's colours and typefaces. `picture` is for the pages that show one. */
export const specimen = (brand: Brand, picture: FileId | undefined): Specimen[] => [
  familiesSheet(brand),
  scriptsSheet(brand),
  wordsSheet(brand),
  effectsSheet(brand, picture),
  shapesSheet(brand),
  ...(picture ? [picturesSheet(brand, picture)] : []),
  coloursSheet(brand),
];
