import sharp from "sharp";
import type { ImageFormat } from "../../core/api";
import type { Pixels } from "../../core/attention";

/** Of JPEG and WebP. */
export const QUALITY = 90;
/** With a limit of bytes it is lowered by so much at a time, and no further than this: below, edges of letters ring. By eye. */
const STEP = 6;
const LEAST_QUALITY = 60;

/** Formats whose quality can be lowered. */
export type Lossy = "jpeg" | "webp";
export const isLossy = (format: ImageFormat): format is Lossy =>
  format === "jpeg" || format === "webp";

/** Painted pixels as a file, without transparency. */
export function encodePixels(
  { data, width, height, channels }: Pixels,
  format: Exclude<ImageFormat, "svg">,
  quality = QUALITY,
): Promise<Buffer> {
  const given = sharp(data, { raw: { width, height, channels } });
  // To take alpha away takes half as long as to encode.
  const image = channels === 4 ? given.removeAlpha() : given;
  switch (format) {
    // Filtering row by row makes flat graphics with a photograph larger, and takes twice as long.
    case "png":
      return image.png({ compressionLevel: 6 }).toBuffer();
    // With tables of its own a file is a little smaller, takes twice as long, and joins with no other.
    case "jpeg":
      return image.jpeg({ quality, optimiseCoding: false }).toBuffer();
    case "webp":
      return image.webp({ quality }).toBuffer();
  }
}

/** At the best quality below the usual at which it has no more bytes than `most`, or at the least. */
export async function encodeWithin(
  pixels: Pixels,
  format: Lossy,
  most: number,
): Promise<{ image: Buffer; quality: number }> {
  let quality = QUALITY;
  let image: Buffer;
  do {
    quality = Math.max(LEAST_QUALITY, quality - STEP);
    image = await encodePixels(pixels, format, quality);
  } while (image.length > most && quality > LEAST_QUALITY);
  return { image, quality };
}
