import type { PictureFile } from "../../core/files";
import { loadType, piecePictures } from "../../core/needs";
import type { Sources } from "../../core/resolve";
import { Typesetter } from "../../core/type";
import { FolderFiles } from "../../server/files/folders";
import { toSfnt } from "../../server/files/sfnt";
import { WithShipped } from "../../server/files/shipped";
import { iconLookup } from "../../server/render/icons";
import { inspectPicture } from "../../server/render/inspect";
import { cases, type Case } from "./arrangements";
import { demoFolder, fontFolder } from "./demo";

/** Fonts and pictures of all the cases. */
export const caseSources = (): Promise<Sources> => sourcesFor(cases());

/** Fonts and pictures of some pieces. */
export async function sourcesFor(entries: readonly Case[]): Promise<Sources> {
  const files = new WithShipped(fontFolder, new FolderFiles([demoFolder]));
  const typesetter = new Typesetter();
  const pictures = new Map<string, PictureFile>();
  for (const { piece, brand } of entries) {
    await loadType(piece, brand, typesetter, async (id) => toSfnt(await files.read(id)));
    for (const id of piecePictures(piece, brand))
      if (!pictures.has(id)) pictures.set(id, await inspectPicture(await files.read(id), id));
  }
  return { typesetter, pictures: (id) => pictures.get(id), icons: iconLookup };
}
