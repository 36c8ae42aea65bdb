import sharp from "sharp";
import type { FileId } from "../../core/files";
import { paintSvg, type SvgPicture } from "../../core/paint";
import { scenePictures, type PictureItem, type Scene } from "../../core/scene";
import type { Typesetter } from "../../core/type";
import { toSfnt } from "../files/sfnt";
import type { FileSource } from "../files/source";
import { QUALITY } from "./encode";
import type { Painter } from "./painter";

/** How words go into an SVG: as outlines, or as text with its faces built in. */
export type SvgText = "outlines" | "text";

/** What words that stay text are set in. */
interface Faces {
  files: FileSource;
  typesetter: Typesetter;
}

/** The scene as an SVG document; its pictures have `scale` pixels for each of the scene's. */
export async function svgOf(
  painter: Painter,
  scene: Scene,
  scale: number,
  text: SvgText,
  faces: Faces,
): Promise<string> {
  const pictures = new Map<PictureItem, SvgPicture>();
  for (const item of scenePictures(scene))
    pictures.set(item, await pictureOf(painter, item, scale));
  const fonts = text === "text" ? await builtIn(scene, faces) : undefined;
  const font = fonts && ((id: FileId) => fonts.get(id));
  const materials = {
    picture: (item: PictureItem) => pictures.get(item),
    ...(font ? { font } : {}),
  };
  return paintSvg(scene, materials, scale);
}

async function pictureOf(painter: Painter, item: PictureItem, scale: number): Promise<SvgPicture> {
  const { raster, at } = await painter.shown(item, scale);
  const { data, width, height, opaque } = raster;
  const image = sharp(data, { raw: { width, height, channels: 4 } });
  const bytes = opaque
    ? await image.removeAlpha().jpeg({ quality: QUALITY }).toBuffer()
    : await image.png().toBuffer();
  const mime = opaque ? "image/jpeg" : "image/png";
  return {
    href: `data:${mime};base64,${bytes.toString("base64")}`,
    box: { x: at.x / scale, y: at.y / scale, width: at.width / scale, height: at.height / scale },
  };
}

/** The faces that a scene is set in, as addresses; those whose licence bits forbid it stay out. */
async function builtIn(scene: Scene, { files, typesetter }: Faces): Promise<Map<FileId, string>> {
  const used = scene.items.flatMap((item) => (item.kind === "glyphs" ? item.runs : []));
  const built = new Map<FileId, string>();
  for (const id of new Set(used.map((run) => run.file))) {
    if (typesetter.font(id)?.embedding === "forbidden") continue;
    const bytes = Buffer.from(await toSfnt(await files.read(id)));
    built.set(id, `data:font/ttf;base64,${bytes.toString("base64")}`);
  }
  return built;
}
