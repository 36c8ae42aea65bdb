import { wrap, type Remote } from "comlink";
import { ATTENTION_SIDE, type Attention } from "../../core/attention";
import type { Predict } from "./predict";

/** Pixels a side that are handed on; more would not be looked at. */
const SIDE = 3 * ATTENTION_SIDE;

let predict: Remote<Predict> | undefined;

/** Where what is painted there is likely to be looked at first; one worker does it for all. */
export async function predictedOn(
  source: HTMLImageElement | HTMLCanvasElement,
): Promise<Attention> {
  predict ??= wrap<Predict>(
    new Worker(new URL("./predict.ts", import.meta.url), { type: "module" }),
  );
  const canvas = new OffscreenCanvas(SIDE, SIDE);
  const context = canvas.getContext("2d", { willReadFrequently: true })!;
  context.imageSmoothingQuality = "high";
  context.drawImage(source, 0, 0, SIDE, SIDE);
  const { data } = context.getImageData(0, 0, SIDE, SIDE);
  return predict({ data, width: SIDE, height: SIDE, channels: 4 });
}
