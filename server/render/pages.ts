import { type Canvas, createCanvas, type Path2D, PDFDocument } from "@napi-rs/canvas";
import sharp from "sharp";
import { box, scaleBox, type Box } from "../../core/geometry";
import { paint, type Materials } from "../../core/paint";
import type { Scene } from "../../core/scene";
import { encodePixels } from "./encode";
import type { Painter } from "./painter";

/** A page of a document in points, of which a sheet's pixels make two thirds. */
const POINTS = 2 / 3;
/** Pictures in a document have so many pixels for each of the scene's. */
const SHARP_PDF = 2;
/** Output pixels for each of a sheet's. */
const SHARP_SHEET = 2;

/** A page, and where on it the sizes stand, in its pixels. */
export interface Sheet {
  page: Scene;
  sizes: { scene: Scene; at: Box }[];
}

/** The scenes as one document, a page each; shapes and words stay vectors. Pages are in points, 3 pixels to 2. */
export async function pdfOf(
  painter: Painter,
  title: string,
  scenes: readonly Scene[],
): Promise<Buffer> {
  const document = new PDFDocument({ title });
  for (const scene of scenes) {
    const materials = shrunk(await painter.materials(scene, SHARP_PDF), POINTS / SHARP_PDF);
    const context = document.beginPage(scene.width * POINTS, scene.height * POINTS);
    paint<Path2D, Canvas>(context as never, scene, materials, POINTS);
    document.endPage();
  }
  return document.close();
}

/** Scenes of one height beside each other, without a gap, as PNG. */
export async function sideBySide(painter: Painter, scenes: readonly Scene[]): Promise<Buffer> {
  const parts: { input: Buffer; left: number; top: number }[] = [];
  let left = 0;
  for (const scene of scenes) {
    parts.push({ input: await painter.encode(scene, "png", 1), left, top: 0 });
    left += scene.width;
  }
  const height = Math.max(...scenes.map((scene) => scene.height));
  const page = { width: left, height, channels: 3, background: "#FFFFFF" } as const;
  return sharp({ create: page })
    .composite(parts)
    .removeAlpha()
    .png({ compressionLevel: 6 })
    .toBuffer();
}

/** Sizes on one page, as PNG or PDF. */
export async function sheetOf(
  painter: Painter,
  sheet: Sheet,
  format: "png" | "pdf",
  title: string,
): Promise<Buffer> {
  const { page } = sheet;
  if (format === "pdf") {
    const document = new PDFDocument({ title });
    const context = document.beginPage(page.width * POINTS, page.height * POINTS);
    await paintSheet(painter, context as never, sheet, POINTS);
    document.endPage();
    return document.close();
  }
  const [width, height] = [page.width, page.height].map((side) => Math.round(side * SHARP_SHEET));
  const canvas = createCanvas(width!, height!);
  await paintSheet(painter, canvas.getContext("2d") as never, sheet, SHARP_SHEET);
  const pixels = { data: canvas.data(), width: width!, height: height!, channels: 4 } as const;
  return encodePixels(pixels, "png");
}

type Context = Parameters<typeof paint<Path2D, Canvas>>[0];

/** `by` is units of the page for each of the sheet's pixels; pictures have as many pixels whatever these are. */
async function paintSheet(
  painter: Painter,
  context: Context,
  { page, sizes }: Sheet,
  by: number,
): Promise<void> {
  const whole = box(0, 0, page.width, page.height);
  for (const { scene, at } of [{ scene: page, at: whole }, ...sizes]) {
    const own = at.width / scene.width;
    const materials = await painter.materials(scene, own * SHARP_SHEET);
    const from = {
      x: Math.round(at.x * SHARP_SHEET) * (by / SHARP_SHEET),
      y: Math.round(at.y * SHARP_SHEET) * (by / SHARP_SHEET),
    };
    paint(context, scene, shrunk(materials, by / SHARP_SHEET), own * by, from);
  }
}

/** Materials whose pictures stand where they do in units that are so much larger. */
const shrunk = (
  { path, picture }: Materials<Path2D, Canvas>,
  by: number,
): Materials<Path2D, Canvas> => ({
  path,
  picture: (item) => {
    const bitmap = picture(item);
    return bitmap && { ...bitmap, at: scaleBox(bitmap.at, by) };
  },
});
