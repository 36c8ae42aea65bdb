import { type Canvas, createCanvas, type Path2D } from "@napi-rs/canvas";
import { paint, type Materials } from "../../core/paint";
import type { Scene } from "../../core/scene";
import { giveBack } from "./collect";

/** Pixels of a canvas; what is larger is painted band by band, so that it is in memory once and not twice. */
const MOST_AT_ONCE = 12_000_000;
const PIXELS_A_BAND = 4_000_000;

export const isLarge = (width: number, height: number): boolean => width * height > MOST_AT_ONCE;

/** The pixels of a large scene, RGBA. */
export async function inBands(
  scene: Scene,
  materials: Materials<Path2D, Canvas>,
  scale: number,
  width: number,
  height: number,
): Promise<Buffer> {
  const data = Buffer.allocUnsafe(width * height * 4);
  const band = Math.max(1, Math.floor(PIXELS_A_BAND / width));
  const canvas = createCanvas(width, Math.min(band, height));
  for (let top = 0; top < height; top += band) {
    const from = { x: 0, y: -top };
    paint<Path2D, Canvas>(canvas.getContext("2d") as never, scene, materials, scale, from);
    const rows = Math.min(band, height - top);
    canvas.data().copy(data, top * width * 4, 0, rows * width * 4);
    // Each band's pixels are a copy.
    await giveBack();
  }
  return data;
}
