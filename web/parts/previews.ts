import type { Brand } from "../../core/brand";
import type { FileId } from "../../core/files";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import { pieceOf, type Template } from "../../core/templates";

/** What previews of templates say and show. */
export interface Wanted {
  words: Record<string, string>;
  /** Chosen pictures, and those of the shelf that stand in for others. */
  pictures: readonly FileId[];
  shelf: readonly FileId[];
}

/** The chosen pictures, then others of the shelf; each template begins with another one, so that no two look alike. */
export function picturesFor(index: number, { pictures, shelf }: Wanted): FileId[] {
  const others = shelf.filter((id) => !pictures.includes(id));
  const from = others.length > 0 ? index % others.length : 0;
  return [...pictures, ...others.slice(from), ...others.slice(0, from)];
}

/** A template as a piece that is not stored; named after it, and what it shows is prepared under that name. */
export const previewOf = (template: Template, brand: Brand, index: number, wanted: Wanted): Piece =>
  pieceOf(template, brand, {
    id: template.id,
    title: template.name,
    words: wanted.words,
    pictures: picturesFor(index, wanted),
  });

/** CSS pixels: previews have one area, whatever their shape, and none is wider than this. */
export const PREVIEW = { area: 30_000, widest: 320 } as const;

export const previewWidth = ({ width, height }: Placement, area: number, widest: number): number =>
  Math.round(Math.min(widest, Math.sqrt((area * width) / height)));
