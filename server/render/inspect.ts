import sharp from "sharp";
import type { Area, Art, PictureFile } from "../../core/files";
import {
  findGround,
  findLettering,
  findThing,
  isPage,
  rasterOf,
  readArt,
  readTones,
} from "../../core/picture";
import { problem } from "../../core/problem";
import { fileId } from "../files/hash";

/** A side longer than this is refused: decoding it would take gigabytes. */
export const MOST_SIDE = 16_000;
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

/** What an SVG may not hold: it would run, or reach out of the file. */
const UNSAFE_SVG: [RegExp, string][] = [
  [/<script/i, "a script"],
  [/\son[a-z]+\s*=/i, "an event handler"],
  [/javascript:/i, "a script address"],
  [/<foreignObject/i, "foreign content"],
  [/<!ENTITY/i, "an entity"],
  [/(?:href|src)\s*=\s*["']\s*(?!#|data:image\/)[^"']/i, "a link to something outside the file"],
  [/url\(\s*["']?\s*(?!#|["']?data:image\/)[a-z/]/i, "a link to something outside the file"],
];

/**
 * Reads a picture completely, so that a truncated one is found now and not in a delivery.
 * Throws picture-unreadable, picture-truncated, picture-too-large, picture-unsafe, svg-text or svg-too-complex.
 */
export async function inspectPicture(bytes: Buffer, name: string): Promise<PictureFile> {
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
  if (width > MOST_SIDE || height > MOST_SIDE) {
    throw problem("picture-too-large", { name, width, height, most: MOST_SIDE });
  }
  const tones = await tonesOf(bytes, name);
  const found = vector ? {} : await lookAt(bytes);
  const art = await artOf(bytes);
  return {
    id: fileId(bytes),
    name,
    mime,
    width,
    height,
    vector,
    tones,
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
async function lookAt(bytes: Buffer): Promise<Pick<PictureFile, "areas" | "ground">> {
  const small = await pixelsOf(bytes, THUMBNAIL);
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

/** An SVG with more elements than this is a traced photograph or a map, and slow on every screen. */
const MOST_ELEMENTS = 20_000;

/** Throws for an SVG that would run, reach out, look different on each machine, or be slow on all of them. */
function refuseSvg(svg: string, name: string): void {
  const hit = UNSAFE_SVG.find(([pattern]) => pattern.test(svg));
  if (hit) throw problem("picture-unsafe", { name, found: hit[1] });
  if (/<text[\s>]/i.test(svg)) throw problem("svg-text", { name });
  const elements = svg.match(/<[a-z]/gi)?.length ?? 0;
  if (elements > MOST_ELEMENTS)
    throw problem("svg-too-complex", { name, elements, most: MOST_ELEMENTS });
}

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
