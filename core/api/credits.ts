import type { FileId, PictureNote } from "../files";
import { messagePictures, type Piece } from "../piece";
import type { ManifestFile } from "./making";

/** To be said where a graphic is shown: whom its pictures are owed to, as far as `notes` know. */
export function creditsOf(
  { message }: Pick<Piece, "message">,
  notes: ReadonlyMap<FileId, PictureNote>,
): Pick<ManifestFile, "credits"> {
  const owed = messagePictures(message)
    .flatMap((id) => notes.get(id) ?? [])
    .filter(({ credit, licence }) => credit ?? licence);
  return owed.length > 0 ? { credits: owed } : {};
}
