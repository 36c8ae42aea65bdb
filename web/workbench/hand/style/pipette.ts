import { hexOfBytes, type Hex } from "../../../../core/colour";
import type { Point } from "../../../../core/geometry";

/**
 * What a canvas on the page shows at a point, in shares of its width and height; also of one that is painted elsewhere.
 * Undefined while there is nothing on it.
 */
export function colourOn(canvas: HTMLCanvasElement | null | undefined, at: Point): Hex | undefined {
  if (!canvas || canvas.width === 0 || canvas.height === 0) return undefined;
  const pixel = new OffscreenCanvas(1, 1).getContext("2d", { willReadFrequently: true })!;
  pixel.drawImage(canvas, -Math.floor(at.x * canvas.width), -Math.floor(at.y * canvas.height));
  const [red, green, blue, alpha] = pixel.getImageData(0, 0, 1, 1).data;
  return alpha ? hexOfBytes(red!, green!, blue!) : undefined;
}
