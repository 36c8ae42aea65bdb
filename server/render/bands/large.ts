import { type Canvas, createCanvas, type Path2D } from "@napi-rs/canvas";
import { paint, type Materials } from "../../../core/paint";
import type { Scene } from "../../../core/scene";
import { giveBack } from "../collect";
import { withoutAlpha } from "./pixels";

/** Pixels of a canvas; what is larger is painted band by band, so that it is in memory once and not twice. */
const MOST_AT_ONCE = 12_000_000;
const PIXELS_A_BAND = 4_000_000;

export const isLarge = (width: number, height: number): boolean => width * height > MOST_AT_ONCE;

/** The pixels of a large scene, RGB: the ground covers everything, and a quarter less is held. */
export async function inBands(
  scene: Scene,
  materials: Materials<Path2D, Canvas>,
  scale: number,
  width: number,
  height: number,
): Promise<Buffer> {
  const data = Buffer.allocUnsafe(width * height * 3);
  const band = Math.max(1, Math.floor(PIXELS_A_BAND / width));
  const context = createCanvas(width, Math.min(band, height)).getContext("2d");
  for (let top = 0; top < height; top += band) {
    const from = { x: 0, y: -top };
    paint<Path2D, Canvas>(context as never, scene, materials, scale, from);
    const rows = Math.min(band, height - top);
    data.set(withoutAlpha(context.getImageData(0, 0, width, rows).data), top * width * 3);
    await giveBack();
  }
  return data;
}
