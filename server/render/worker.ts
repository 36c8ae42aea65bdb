import { workerData } from "node:worker_threads";
import type { LayoutChoices } from "../../core/api";
import type { Brand } from "../../core/brand";
import { compared, type Compared } from "../../core/choosing";
import { alternatives, withLead, type Made } from "../../core/engine";
import type { FileId } from "../../core/files";
import { inOneColour, readPalette, withoutGround, type PaletteReading } from "../../core/palette";
import type { Piece } from "../../core/piece";
import { measure, type Measured } from "../../core/measure";
import { check, reportOf, toAct } from "../../core/preflight";
import type { Composition } from "../../core/siblings";
import type { Scene } from "../../core/scene";
import { brandSheet } from "../../core/specimen";
import { Blobs, writeWhole } from "../files/blobs";
import { fileId } from "../files/hash";
import { WithShipped } from "../files/shipped";
import { crossing } from "../problems";
import type { Folders } from "./pool";
import { collectMade } from "./collect";
import { encodeWithin, isLossy } from "./encode";
import { stepBack } from "./priority";
import { recoverOutput } from "./recover";
import { logoPixels, pngOf, samplePixels, smallPixels } from "./rendition";
import { pdfOf, sideBySide } from "./pages";
import { Studio } from "./studio";
import type {
  CompareTask,
  ComposeTask,
  ContactSheetTask,
  LogoTask,
  MeasureTask,
  RefitTask,
  RenderResult,
  RenderTask,
  SizeSheetTask,
  SlidesTask,
  Standing,
} from "./task";

const { blobs, fonts } = workerData as Folders;
stepBack();
const files = new WithShipped(fonts, new Blobs(blobs));
const studio = new Studio(files);

/** How a piece stands on a size: as its siblings where it can, else by itself. */
async function standing({
  piece,
  brand,
  placement,
  alike,
}: Standing): Promise<Made & { apart: boolean }> {
  const same = sameBrand(brand);
  const made = alike && (await studio.makeAlike(piece, alike, same, placement));
  if (made) return { ...made, apart: false };
  return { ...(await studio.make(piece, same, placement)), apart: alike !== undefined };
}

const BYTES_A_PIXEL = 4;

/** Makes one picture and writes it whole. */
async function renderTask(task: RenderTask): Promise<RenderResult> {
  const { layout, scene, apart } = await standing(task);
  const findings = toAct(check(layout)).length;
  const known = task.keep ? await recoverOutput(task) : undefined;
  if (known) return { ...known, findings, apart };
  const { format, scale, most } = task;
  const usual = await studio.encode(scene, format, scale);
  const { image, ...encoded } =
    most !== undefined && usual.length > most && isLossy(format)
      ? await encodeWithin(await studio.painter.paint(scene, scale), format, most)
      : { image: usual };
  await writeWhole(task.path, image);
  collectMade(scene.width * scene.height * scale ** 2 * BYTES_A_PIXEL);
  return {
    width: Math.round(scene.width * scale),
    height: Math.round(scene.height * scale),
    bytes: image.length,
    sha256: fileId(image),
    ...encoded,
    findings,
    apart,
  };
}

/** Measures a finished file. */
async function measureTask(task: MeasureTask): Promise<Measured> {
  const { layout } = await standing(task);
  return measure(reportOf(layout), await smallPixels(task.path));
}

/** How the pieces of a class stand on a size. */
const composeTask = ({ piece, of, brand, placement }: ComposeTask): Promise<Composition> =>
  studio.composition(piece, of, sameBrand(brand), placement);

const compareTask = ({ words, looks }: CompareTask): Promise<Compared> =>
  Promise.resolve(compared(words, looks));

/** Nothing comes of it but what the thread knows then. */
async function prepareTask({ piece, brand, placement }: RefitTask): Promise<void> {
  const { scene } = await studio.make(piece, sameBrand(brand), placement);
  await studio.encode(scene, "jpeg", 1);
}

/** Reads the colours of a stored picture. */
async function paletteTask(id: FileId): Promise<PaletteReading> {
  return readPalette(await samplePixels(await files.read(id)));
}

/** Another version of a stored logo, as PNG; undefined when it stands on no flat ground. */
async function logoTask({ id, wanted }: LogoTask): Promise<Uint8Array | undefined> {
  const picture = await logoPixels(await files.read(id));
  const made =
    wanted.as === "one-colour" ? inOneColour(picture, wanted.hex) : withoutGround(picture);
  return made && pngOf(made);
}

/** The brand sheet as one document. */
async function sheetTask(brand: Brand): Promise<Uint8Array> {
  const scenes: Scene[] = [];
  for (const { piece, placement } of brandSheet(brand))
    scenes.push((await studio.make(piece, sameBrand(brand), placement)).scene);
  return pdfOf(studio.painter, brand.name, scenes);
}

/** All sizes of a piece on one page. */
async function sizeSheetTask(task: SizeSheetTask): Promise<Uint8Array> {
  const { piece, brand, placements, about, format } = task;
  return studio.sizeSheet(piece, sameBrand(brand), placements, about, format);
}

/** Variations of one size on one page. */
async function contactSheetTask(task: ContactSheetTask): Promise<Uint8Array> {
  const { variations, brand, placement, about, format } = task;
  const scenes: Scene[] = [];
  for (const one of variations) scenes.push((await standing({ ...one, brand, placement })).scene);
  const names = variations.map(({ name }) => name);
  return studio.contactSheet(scenes, names, placement, about, format);
}

/** The slides of a strip, a page each or side by side. */
async function slidesTask({
  slides,
  brand,
  placement,
  title,
  format,
}: SlidesTask): Promise<Uint8Array> {
  const scenes: Scene[] = [];
  for (const slide of slides)
    scenes.push((await studio.make(slide, sameBrand(brand), placement)).scene);
  return format === "pdf"
    ? pdfOf(studio.painter, title, scenes)
    : sideBySide(studio.painter, scenes);
}

/** The best layouts of one size. */
async function layoutsTask(task: RefitTask): Promise<LayoutChoices["layouts"]> {
  const sources = await studio.sources(task.piece, sameBrand(task.brand));
  const found = alternatives(task.piece, sameBrand(task.brand), task.placement, sources);
  return found.map(({ layoutId }) => layoutId);
}

/** The piece with that size as its lead. */
async function leadTask(task: RefitTask): Promise<Piece> {
  const sources = await studio.sources(task.piece, sameBrand(task.brand));
  return withLead(task.piece, sameBrand(task.brand), task.placement, sources);
}

/** A piece that was made from a template, fitted to its words. */
const fitTask = ({ piece, brand, placement }: RefitTask): Promise<Piece> =>
  studio.fitted(piece, sameBrand(brand), placement);

const brands = new Map<string, Brand>();
/** A kit is changed often while it is made, and each change is another. */
const MOST_BRANDS = 50;

/** The same object for the same brand: what has been measured in its typefaces is kept by it. */
function sameBrand(brand: Brand): Brand {
  const key = JSON.stringify(brand);
  const same = brands.get(key) ?? brand;
  brands.delete(key);
  brands.set(key, same);
  const [oldest] = brands.keys();
  if (brands.size > MOST_BRANDS) brands.delete(oldest!);
  return same;
}

/** What a thread is asked, by name; see pool.ts. */
export default crossing(renderTask);
export const palette = crossing(paletteTask);
export const logo = crossing(logoTask);
export const sheet = crossing(sheetTask);
export const sizeSheetOf = crossing(sizeSheetTask);
export const contactSheetOf = crossing(contactSheetTask);
export const slidesOf = crossing(slidesTask);
export const layouts = crossing(layoutsTask);
export const lead = crossing(leadTask);
export const fitted = crossing(fitTask);
export const prepared = crossing(prepareTask);
export const measured = crossing(measureTask);
export const composition = crossing(composeTask);
export const comparedAll = crossing(compareTask);
