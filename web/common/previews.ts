import type { Brand } from "../../core/brand";
import type { FileId } from "../../core/files";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import type { OutlineSlide, PictureNames } from "../../core/strip";
import { pictureSlots, pieceOf, type Template } from "../../core/templates";

/** What previews of templates say and show. */
export interface Wanted {
  words: Record<string, string>;
  /** Chosen pictures. */
  pictures: readonly FileId[];
  /** The slides of a carousel, and what their pictures are called. */
  outline?: readonly OutlineSlide[] | undefined;
  names?: PictureNames | undefined;
  /** The brand's other pictures, which stand in for them as long as nothing is said. */
  shelf: readonly FileId[];
}

/**
 * The chosen pictures. As long as nothing is said or chosen, a template shows what it was drawn for with pictures of the
 * shelf, each beginning with another one, so that no two look alike.
 */
export function picturesFor(
  template: Template,
  index: number,
  { words, outline = [], pictures, shelf }: Wanted,
): FileId[] {
  const saysNothing = Object.keys(words).length === 0 && outline.length === 0;
  const isSample = saysNothing && pictures.length === 0;
  if (!isSample || shelf.length === 0) return [...pictures];
  const from = index % shelf.length;
  return [...shelf.slice(from), ...shelf.slice(0, from)].slice(0, pictureSlots(template).length);
}

/** A template as a piece that is not stored; named after it, and what it shows is prepared under that name. */
export const previewOf = (template: Template, brand: Brand, index: number, wanted: Wanted): Piece =>
  pieceOf(template, brand, {
    id: template.id,
    title: template.name,
    words: wanted.words,
    outline: wanted.outline,
    names: wanted.names,
    pictures: picturesFor(template, index, wanted),
  });

/** CSS pixels: previews have one area, whatever their shape, and none is wider than this. */
export const PREVIEW = { area: 30_000, widest: 320 } as const;

export const previewWidth = ({ width, height }: Placement, area: number, widest: number): number =>
  Math.round(Math.min(widest, Math.sqrt((area * width) / height)));
