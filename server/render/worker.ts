import { workerData } from "node:worker_threads";
import type { LayoutChoices } from "../../core/api";
import type { Brand } from "../../core/brand";
import { alternatives, begun, withLead } from "../../core/engine";
import type { FileId } from "../../core/files";
import { inOneColour, readPalette, withoutGround, type PaletteReading } from "../../core/palette";
import type { Piece } from "../../core/piece";
import { check, toAct } from "../../core/preflight";
import type { Scene } from "../../core/scene";
import { brandSheet } from "../../core/specimen";
import { Blobs, writeWhole } from "../files/blobs";
import { fileId } from "../files/hash";
import { WithShipped } from "../files/shipped";
import type { Folders } from "./pool";
import { logoPixels, pngOf, samplePixels } from "./rendition";
import { Studio } from "./studio";
import type { LogoTask, RefitTask, RenderResult, RenderTask, SizeSheetTask } from "./task";

const { blobs, fonts } = workerData as Folders;
const files = new WithShipped(fonts, new Blobs(blobs));
const studio = new Studio(files);

/** Runs in a worker thread: makes one picture and writes it whole. */
export default async function renderTask(task: RenderTask): Promise<RenderResult> {
  const { layout, scene } = await studio.make(task.piece, known(task.brand), task.placement);
  const image = await studio.encode(scene, task.format, task.scale);
  await writeWhole(task.path, image);
  return {
    width: Math.round(scene.width * task.scale),
    height: Math.round(scene.height * task.scale),
    bytes: image.length,
    sha256: fileId(image),
    findings: toAct(check(layout)).length,
  };
}

/** Also in a thread: reads the colours of a stored picture. */
export async function paletteTask(id: FileId): Promise<PaletteReading> {
  return readPalette(await samplePixels(await files.read(id)));
}

/** Also in a thread: another version of a stored logo, as PNG; undefined when it stands on no flat ground. */
export async function logoTask({ id, wanted }: LogoTask): Promise<Uint8Array | undefined> {
  const picture = await logoPixels(await files.read(id));
  const made =
    wanted.as === "one-colour" ? inOneColour(picture, wanted.hex) : withoutGround(picture);
  return made && pngOf(made);
}

/** Also in a thread: the brand sheet as one document. */
export async function sheetTask(brand: Brand): Promise<Uint8Array> {
  const scenes: Scene[] = [];
  for (const { piece, placement } of brandSheet(brand))
    scenes.push((await studio.make(piece, known(brand), placement)).scene);
  return studio.pdf(brand.name, scenes);
}

/** Also in a thread: all sizes of a piece on one page. */
export async function sizeSheetTask(task: SizeSheetTask): Promise<Uint8Array> {
  const { piece, brand, placements, about, format } = task;
  return studio.sizeSheet(piece, known(brand), placements, about, format);
}

/** Also in a thread: the best layouts of one size. */
export async function layoutsTask(task: RefitTask): Promise<LayoutChoices["layouts"]> {
  const sources = await studio.sources(task.piece, known(task.brand));
  const found = alternatives(task.piece, known(task.brand), task.placement, sources);
  return found.map(({ via }) => via);
}

/** Also in a thread: the piece with that size as its lead. */
export async function leadTask(task: RefitTask): Promise<Piece> {
  const sources = await studio.sources(task.piece, known(task.brand));
  return withLead(task.piece, known(task.brand), task.placement, sources);
}

/** Also in a thread: a piece that was begun from a template, fitted to its words. */
export async function begunTask(task: RefitTask): Promise<Piece> {
  const sources = await studio.sources(task.piece, known(task.brand));
  return begun(task.piece, known(task.brand), task.placement, sources);
}

const brands = new Map<string, Brand>();

/** The same object for the same brand: what has been measured in its typefaces is kept by it. */
function known(brand: Brand): Brand {
  const key = JSON.stringify(brand);
  const same = brands.get(key);
  if (!same) brands.set(key, brand);
  return same ?? brand;
}
