import { brandFonts, brandPictures, type Brand } from "./brand";
import type { FileId } from "./files";
import { isText, messagePictures, siblingPictures, type Piece } from "./piece";
import { fallbackFonts, shelfTypeface } from "./shelf";
import { plainText } from "./text";
import { type Typesetter } from "./type";

/** The fonts that a piece names: the brand's, and shipped families that its nodes ask for. */
function namedFonts(piece: Piece, brand: Brand): FileId[] {
  const nodes = [
    ...piece.arrangement,
    ...piece.sizes.flatMap(({ changes }) => Object.values(changes)),
  ];
  const families = nodes.flatMap(({ style }) => shelfTypeface(style?.type ?? "") ?? []);
  return [...brandFonts(brand), ...families.flatMap(({ faces }) => faces.map(({ file }) => file))];
}

function wordsOf({ message, siblings }: Piece, brand: Brand): string {
  const said = [message, ...(siblings ? [siblings.longest, ...siblings.tried.map(messageOf)] : [])];
  const fillings = said.flatMap((one) => Object.values(one).filter(isText));
  const words = fillings.map(({ text }) => plainText(text));
  return [...words, brand.name, brand.voice.handle, brand.voice.site].join("\n");
}

const messageOf = ({ message }: Pick<Piece, "message">): Piece["message"] => message;

/** The language of a piece that says none. */
const USUAL_LANGUAGE = "en";

/**
 * Loads what a piece's words need before they can be set: the fonts that it names, then shipped ones for characters
 * that those lack, and how words of its language are parted. `read` answers an unpacked OpenType file.
 */
export async function loadType(
  piece: Piece,
  brand: Brand,
  typesetter: Typesetter,
  read: (id: FileId) => Promise<Uint8Array>,
): Promise<void> {
  const load = async (id: FileId): Promise<void> => {
    if (!typesetter.hasFont(id)) typesetter.addFont(id, await read(id));
  };
  const named = namedFonts(piece, brand);
  await Promise.all(named.map(load));
  const { headline, text } = brand.typefaces;
  const covered = (point: number): boolean =>
    [headline, text].every((typeface) => typesetter.covers(typeface, point)) &&
    named.every((id) => typesetter.font(id)?.has(point) ?? false);
  await Promise.all([
    ...fallbackFonts(wordsOf(piece, brand), covered, piece.language).map(load),
    typesetter.learnHyphens(piece.language ?? USUAL_LANGUAGE),
  ]);
}

/** The stored pictures that a piece shows, logos included; the profile picture where a node asks for it. */
export function piecePictures(piece: Piece, { logos, portrait }: Brand): FileId[] {
  const isSigned = piece.arrangement.some(({ role }) => role === "portrait");
  const own = brandPictures({ logos, ...(isSigned ? { portrait } : {}) });
  return [...new Set([...own, ...messagePictures(piece.message), ...siblingPictures(piece)])];
}

/** Whether any node is an icon, so that the icon set is needed. */
export const needsIcons = (piece: Piece): boolean =>
  piece.arrangement.some((node) => node.kind === "icon");
