import { readFile } from "node:fs/promises";
import sharp from "sharp";
import { check, toAct } from "../../core/preflight";
import type { FileSource } from "../files/source";
import { fileId } from "../files/hash";
import { Studio } from "./studio";
import type { RenderResult, RenderTask } from "./task";

let studio: Studio | undefined;

/** What is known of a picture that is already there; undefined when there is none. */
export async function recoverOutput(
  task: RenderTask,
  files: FileSource,
): Promise<RenderResult | undefined> {
  const image = await readFile(task.path).catch(() => undefined);
  if (!image) return undefined;
  const { width, height } = await sharp(image).metadata();
  studio ??= new Studio(files);
  const { layout } = await studio.make(task.piece, task.brand, task.placement);
  const findings = toAct(check(layout)).length;
  return { width, height, bytes: image.length, sha256: fileId(image), findings };
}
