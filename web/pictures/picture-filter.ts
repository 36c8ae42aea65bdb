import type { ListedPiece, StoredPicture } from "../../core/api";
import { ColourFamily } from "../../core/colour";
import { isPicture, type Piece } from "../../core/piece";

export const SHAPES = [
  { value: "", label: "Any shape" },
  { value: "upright", label: "Upright" },
  { value: "square", label: "Square" },
  { value: "wide", label: "Wide" },
] as const;
export const USES = [
  { value: "", label: "Used or not" },
  { value: "used", label: "Used" },
  { value: "unused", label: "Not used" },
] as const;

export const COLOURS = [
  { value: "", label: "Any colour" },
  ...ColourFamily.options.map((family) => ({
    value: family,
    label: family.charAt(0).toUpperCase() + family.slice(1),
  })),
] as const;

export interface PictureFilter {
  find: string;
  colour: ColourFamily | "";
  shape: (typeof SHAPES)[number]["value"];
  use: (typeof USES)[number]["value"];
}

/** Sides that differ by less than this share make a square. Common practice. */
const SQUARE = 0.08;

export function shapeOf({ width, height }: Pick<StoredPicture, "width" | "height">) {
  const ratio = width / height;
  if (Math.abs(ratio - 1) < SQUARE) return "square";
  return ratio > 1 ? "wide" : "upright";
}

export function isWanted(
  picture: StoredPicture,
  used: boolean,
  { find, colour, shape, use }: PictureFilter,
): boolean {
  const words = `${picture.name}\n${picture.credit ?? ""}`.toLowerCase();
  return (
    words.includes(find.trim().toLowerCase()) &&
    (colour === "" || (picture.colours?.includes(colour) ?? false)) &&
    (shape === "" || shapeOf(picture) === shape) &&
    (use === "" || used === (use === "used"))
  );
}

/** The pieces that show a picture, by its id. */
export function usersOf(pieces: readonly ListedPiece[]): Map<string, ListedPiece[]> {
  const users = new Map<string, ListedPiece[]>();
  for (const piece of pieces)
    for (const id of new Set(piece.pictures)) users.set(id, [...(users.get(id) ?? []), piece]);
  return users;
}

/** The piece with another picture wherever it showed that one; what was said of that one goes with it. */
export function withPictureReplaced(piece: Piece, from: string, to: string): Piece {
  const replaced = (message: Piece["message"]): Piece["message"] => messageWith(message, from, to);
  return {
    ...piece,
    message: replaced(piece.message),
    ...(piece.slides
      ? { slides: piece.slides.map((slide) => ({ ...slide, message: replaced(slide.message) })) }
      : {}),
    ...(piece.across
      ? {
          across: piece.across.map((one) => (one.picture === from ? { ...one, picture: to } : one)),
        }
      : {}),
  };
}

function messageWith(message: Piece["message"], from: string, to: string): Piece["message"] {
  return Object.fromEntries(
    Object.entries(message).map(([slot, filling]) => {
      if (!isPicture(filling) || filling.picture !== from) return [slot, filling];
      const { areas: _areas, alt: _alt, ...rest } = filling;
      return [slot, { ...rest, picture: to }];
    }),
  ) as Piece["message"];
}
