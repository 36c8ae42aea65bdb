import sharp, { type Region, type Sharp } from "sharp";
import type { Treatment } from "../../core/brand";
import type { Box } from "../../core/geometry";
import { treat } from "../../core/picture";

/** A part of a picture at the size in which it is shown; `crop` in picture pixels, the size in output pixels. */
export interface RenditionRequest {
  crop: Box;
  width: number;
  height: number;
  vector: boolean;
  treatment: Treatment;
}

export interface Pixels {
  data: Uint8ClampedArray;
  width: number;
  height: number;
}

/** Decodes, crops, scales and treats. RGBA, not premultiplied. */
export async function render(bytes: Buffer, request: RenditionRequest): Promise<Pixels> {
  const { width, height, vector, treatment } = request;
  const source = vector ? await atSize(bytes, request) : await upright(bytes);
  const { data, info } = await source.image
    .extract(wholePixels(request.crop, source))
    .resize(width, height, { fit: "fill", kernel: "lanczos3" })
    .ensureAlpha()
    .toColourspace("srgb")
    .raw()
    .toBuffer({ resolveWithObject: true });
  const pixels = new Uint8ClampedArray(data.buffer, data.byteOffset, data.byteLength);
  treat(pixels, treatment);
  return { data: pixels, width: info.width, height: info.height };
}

interface Source {
  image: Sharp;
  width: number;
  height: number;
  /** Pixels of the decoded image for each picture pixel. */
  scale: number;
}

async function upright(bytes: Buffer): Promise<Source> {
  const { width, height, orientation = 1 } = await sharp(bytes).metadata();
  const turned = orientation >= 5;
  const image = orientation === 1 ? sharp(bytes) : sharp(await sharp(bytes).rotate().toBuffer());
  return { image, width: turned ? height : width, height: turned ? width : height, scale: 1 };
}

/** A vector is drawn at the size that is needed, not enlarged from its own. SVG's own pixel is 1/96 inch at 72 dpi here. */
async function atSize(bytes: Buffer, { crop, width }: RenditionRequest): Promise<Source> {
  const scale = Math.max(1, width / crop.width);
  const density = Math.min(7200, 72 * scale);
  const image = sharp(bytes, { density });
  const metadata = await image.metadata();
  return { image, width: metadata.width, height: metadata.height, scale: density / 72 };
}

function wholePixels(crop: Box, { width, height, scale }: Source): Region {
  const left = clamp(Math.round(crop.x * scale), 0, width - 1);
  const top = clamp(Math.round(crop.y * scale), 0, height - 1);
  return {
    left,
    top,
    width: clamp(Math.round(crop.width * scale), 1, width - left),
    height: clamp(Math.round(crop.height * scale), 1, height - top),
  };
}

const clamp = (value: number, least: number, most: number): number =>
  Math.min(Math.max(value, least), most);
