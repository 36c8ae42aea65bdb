import sharp from "sharp";
import type { ImageFormat } from "../../core/api";
import type { Pixels } from "../../core/attention";

/** Of JPEG and WebP. */
export const QUALITY = 90;
/** With a limit of bytes it is lowered by so much at a time, and no further than this: below, edges of letters ring. By eye. */
const STEP = 6;
const LEAST_QUALITY = 60;

/** Painted pixels as a file, without transparency. */
export function encodePixels(
  { data, width, height, channels }: Pixels,
  format: Exclude<ImageFormat, "svg">,
  quality = QUALITY,
): Promise<Buffer> {
  const image = sharp(data, { raw: { width, height, channels } }).removeAlpha();
  switch (format) {
    // Filtering row by row makes flat graphics with a photograph larger, and takes twice as long.
    case "png":
      return image.png({ compressionLevel: 6 }).toBuffer();
    case "jpeg":
      return image.jpeg({ quality, optimiseCoding: false }).toBuffer();
    case "webp":
      return image.webp({ quality }).toBuffer();
  }
}

/** At the best quality at which it has no more bytes than `most`, or at the least; said where it is not the usual one. */
export async function encodeWithin(
  pixels: Pixels,
  format: Exclude<ImageFormat, "svg">,
  most = Infinity,
): Promise<{ image: Buffer; quality?: number }> {
  let image = await encodePixels(pixels, format);
  let quality = QUALITY;
  while (image.length > most && format !== "png" && quality > LEAST_QUALITY) {
    quality = Math.max(LEAST_QUALITY, quality - STEP);
    image = await encodePixels(pixels, format, quality);
  }
  return quality === QUALITY ? { image } : { image, quality };
}
