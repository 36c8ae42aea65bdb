import sharp from "sharp";
import type { Area, Art, PictureFile } from "../../core/files";
import {
  familiesIn,
  findGround,
  findLettering,
  findThing,
  isPage,
  rasterOf,
  readArt,
  readTones,
  type Thumbnail,
} from "../../core/picture";
import { problem } from "../../core/problem";
import { fileId } from "../files/hash";
import { plainSvg, refuseSvg } from "./svg-file";

/** A side longer than this is refused: decoding it would take gigabytes. */
export const MOST_SIDE = 16_000;
/** Decoded at once, more pixels than this take half a gigabyte; the largest cameras make 100 to 150 million. */
const MOST_PIXELS = 150_000_000;
const TONES_WIDTH = 160;

const mimes: Record<string, string> = {
  jpeg: "image/jpeg",
  png: "image/png",
  webp: "image/webp",
  avif: "image/avif",
  heif: "image/avif",
  gif: "image/gif",
  tiff: "image/tiff",
  svg: "image/svg+xml",
};

/**
 * Reads a picture completely, so that a truncated one is found now and not in a delivery.
 * Throws picture-unreadable, picture-truncated, picture-too-large, picture-unsafe, svg-text or svg-too-complex.
 */
export async function inspectPicture(given: Buffer, name: string): Promise<PictureFile> {
  const bytes = plainSvg(given, name);
  const metadata = await sharp(bytes, { limitInputPixels: false, failOn: "none" })
    .metadata()
    .catch(() => undefined);
  const mime = metadata && mimes[metadata.format];
  if (!metadata || !mime) throw problem("picture-unreadable", { name });
  const vector = metadata.format === "svg";
  if (vector) refuseSvg(bytes.toString("utf8"), name);
  const turned = (metadata.orientation ?? 1) >= 5;
  const [width, height] = turned
    ? [metadata.height, metadata.width]
    : [metadata.width, metadata.height];
  if (!vector && width * height > MOST_PIXELS)
    throw problem("picture-too-many-pixels", { name, width, height, most: MOST_PIXELS });
  if (width > MOST_SIDE || height > MOST_SIDE) {
    throw problem("picture-too-large", { name, width, height, most: MOST_SIDE });
  }
  const tones = await tonesOf(bytes, name);
  const small = await pixelsOf(bytes, THUMBNAIL);
  const found = vector ? {} : await lookAt(bytes, small);
  const art = await artOf(bytes);
  return {
    id: fileId(bytes),
    name,
    mime,
    width,
    height,
    vector,
    tones,
    colours: familiesIn(small),
    ...found,
    ...(art ? { art } : {}),
  };
}

/** Large enough for the box of a logo's ink to be found to half a hundredth. */
const ART_SIDE = 240;

async function artOf(bytes: Buffer): Promise<Art | undefined> {
  const { data, info } = await sharp(bytes, { failOn: "none" })
    .rotate()
    .resize(ART_SIDE, ART_SIDE, { fit: "inside", withoutEnlargement: false })
    .ensureAlpha()
    .toColourspace("srgb")
    .raw()
    .toBuffer({ resolveWithObject: true });
  return readArt(rasterOf(new Uint8ClampedArray(data), info.width, info.height));
}

/** Small enough that texture is gone, and large enough that a face is still a few pixels. */
const THUMBNAIL = 64;
/** Large enough for panels and boxes to be told from texture, and for lines of small print. */
const PAGE_SIDE = 320;
const PRINT_SIDE = 480;

/** What a picture shows, and the ground that it stands on. */
async function lookAt(
  bytes: Buffer,
  small: Thumbnail,
): Promise<Pick<PictureFile, "areas" | "ground">> {
  const ground = findGround(small);
  const page = await pixelsOf(bytes, PAGE_SIDE, "b-w");
  if (!ground && isPage(page)) return { areas: [WHOLE] };
  const thing = findThing(small);
  const print = findLettering(await pixelsOf(bytes, PRINT_SIDE, "b-w")) ?? findLettering(page);
  const areas = [thing, print].filter((one) => one !== undefined);
  return { ...(areas.length > 0 ? { areas } : {}), ...(ground ? { ground } : {}) };
}

/** A page is meant to be seen to its edges. */
const WHOLE: Area = { kind: "thing", x: 0, y: 0, width: 1, height: 1, weight: 1 };

/** A small copy of a picture: RGB, or grey values, row after row. */
async function pixelsOf(bytes: Buffer, side: number, space: "srgb" | "b-w" = "srgb") {
  const { data, info } = await sharp(bytes, { failOn: "none" })
    .rotate()
    .flatten({ background: "#ffffff" })
    .toColourspace(space)
    .resize(side, side, { fit: "inside" })
    .raw()
    .toBuffer({ resolveWithObject: true });
  const { width, height, channels } = info;
  return { data: space === "b-w" ? new Uint8Array(data) : rgbOf(data, channels), width, height };
}

/** Grey pictures come with one channel. */
export const rgbOf = (data: Buffer, channels: number): Uint8Array =>
  Uint8Array.from({ length: (data.length / channels) * 3 }, (_, i) => {
    const pixel = Math.floor(i / 3) * channels;
    return data[pixel + (channels >= 3 ? i % 3 : 0)]!;
  });

async function tonesOf(bytes: Buffer, name: string) {
  try {
    const { data, info } = await sharp(bytes, { failOn: "truncated" })
      .rotate()
      .flatten({ background: "#ffffff" })
      .resize(TONES_WIDTH, TONES_WIDTH, { fit: "inside", withoutEnlargement: false })
      .greyscale()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return readTones(new Uint8Array(data), info.width, info.height);
  } catch {
    throw problem("picture-truncated", { name });
  }
}
