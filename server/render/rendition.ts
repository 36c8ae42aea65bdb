import sharp, { type Sharp } from "sharp";
import type { Pixels } from "../../core/attention";
import type { PictureFile } from "../../core/files";
import { rasterOf, type Raster } from "../../core/picture";

type Whole = Pick<PictureFile, "width" | "height" | "vector">;

/**
 * A whole picture, decoded, upright and in sRGB, at a width in pixels. Everything that is painted is
 * sampled from such a copy, here and in the browser.
 */
export async function copyAt(bytes: Buffer, picture: Whole, width: number): Promise<Raster> {
  const height = Math.max(1, Math.round((width * picture.height) / picture.width));
  const image = picture.vector ? drawn(bytes, width / picture.width) : sharp(bytes).rotate();
  return decoded(image.resize(width, height, { fit: "fill", kernel: "lanczos3" }));
}

/** A vector is drawn at the size that is needed, not enlarged from its own. SVG's own pixel is 1/96 inch at 72 dpi here. */
const drawn = (bytes: Buffer, scale: number): Sharp =>
  sharp(bytes, { density: Math.min(7200, 72 * Math.max(1, scale)) });

async function decoded(image: Sharp): Promise<Raster> {
  const { data, info } = await image
    .ensureAlpha()
    .toColourspace("srgb")
    .raw()
    .toBuffer({ resolveWithObject: true });
  const pixels = new Uint8ClampedArray(data.buffer, data.byteOffset, data.byteLength);
  return rasterOf(pixels, info.width, info.height);
}

/** A longer side than this tells no more of a picture's colours. */
const MOST_SAMPLED = 1600;

/** A picture's pixels at a size that is quick to read: no softening, so that flat colours stay exact. */
export async function samplePixels(bytes: Buffer): Promise<Raster> {
  const room = { fit: "inside", withoutEnlargement: true, kernel: "nearest" } as const;
  return decoded(sharp(bytes, { density: 192 }).rotate().resize(MOST_SAMPLED, MOST_SAMPLED, room));
}

/** So many pixels a side at least tell what can be measured of a finished graphic. */
const MEASURED_SIDE = 384;

/** The pixels of a finished file, far fewer than it has. A JPEG is not even decoded whole. */
export async function smallPixels(path: string): Promise<Pixels> {
  const small = {
    width: MEASURED_SIDE,
    height: MEASURED_SIDE,
    fit: "outside",
    withoutEnlargement: true,
  } as const;
  const { data, info } = await sharp(path, { density: 36 })
    .resize({ ...small, kernel: "linear" })
    .flatten()
    .toColourspace("srgb")
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height, channels: 3 };
}

/** A logo at a size that serves every placement. */
const LOGO_SIDE = 2000;

export async function logoPixels(bytes: Buffer): Promise<Raster> {
  const room = { fit: "inside", withoutEnlargement: true } as const;
  const image = sharp(bytes, { density: 600 }).rotate();
  return decoded(image.resize(LOGO_SIDE, LOGO_SIDE, room));
}

export const pngOf = ({ data, width, height }: Raster): Promise<Buffer> =>
  sharp(data, { raw: { width, height, channels: 4 } })
    .png()
    .toBuffer();
