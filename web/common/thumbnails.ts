import { THUMBNAIL_WIDTHS } from "../../core/api";

/** The small copy of a finished file that is sharp enough for so many CSS pixels. */
export function thumbnailOf(url: string, width: number): string {
  const wanted = width * Math.min(2, window.devicePixelRatio);
  const wide = THUMBNAIL_WIDTHS.find((one) => one >= wanted) ?? THUMBNAIL_WIDTHS.at(-1)!;
  return `${url}&width=${wide}`;
}
