import { paletteOf, type Brand } from "../brand";
import { isPicture, type Piece } from "../piece";
import { lookWords } from "../wording/looks";

/** What is different about a piece in another look, in words: its ground, its button, pictures. */
export function whatChanged(before: Piece, after: Piece, brand: Brand): string[] {
  const [was, is] = [before, after].map(({ spread }) => paletteOf(brand, spread)) as [
    ReturnType<typeof paletteOf>,
    ReturnType<typeof paletteOf>,
  ];
  const colour = (hex: string) =>
    brand.colours.find((one) => one.hex.toLowerCase() === hex.toLowerCase())?.name;
  const pictures = picturesShown(after);
  return [
    ...(is.backdrop === was.backdrop ? [] : [lookWords.ground({ colour: colour(is.backdrop) })]),
    ...(is.action === was.action || !hasButton(after)
      ? []
      : [lookWords.button({ colour: colour(is.action) })]),
    ...(pictures === picturesShown(before) ? [] : [lookWords.pictures({ count: pictures })]),
  ];
}

const hasButton = ({ arrangement }: Piece): boolean =>
  arrangement.some(({ role, kind }) => role === "cta" && kind === "text");

const picturesShown = ({ arrangement, message }: Piece): number =>
  arrangement.filter(({ kind, slot }) => kind === "picture" && isPicture(message[slot ?? ""]))
    .length;
