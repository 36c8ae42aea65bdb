import { readFile } from "node:fs/promises";
import sharp from "sharp";
import { fileId } from "../files/hash";
import type { RenderResult, RenderTask } from "./task";

/** What is known of a picture that is already there; undefined when there is none, or when it is cut short. */
export async function recoverOutput({
  path,
  format,
}: Pick<RenderTask, "path" | "format">): Promise<
  Omit<RenderResult, "findings" | "apart"> | undefined
> {
  try {
    const image = await readFile(path);
    // An SVG's end is its last word; any other breaks off where its pixels do.
    if (format === "svg" && !image.subarray(-20).toString().trimEnd().endsWith("</svg>"))
      return undefined;
    const whole = sharp(image, { failOn: "truncated", sequentialRead: true });
    const { width, height } = await whole.metadata();
    // Row after row down to the last; statistics over the whole now and then pass over an end that is not there.
    await whole
      .extract({ left: 0, top: height - 1, width, height: 1 })
      .raw()
      .toBuffer();
    return { width, height, bytes: image.length, sha256: fileId(image) };
  } catch {
    return undefined;
  }
}
