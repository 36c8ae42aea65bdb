import { mkdir, readFile, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { altText, type Manifest, type ManifestFile } from "../../core/api";
import {
  applyVariation,
  isFor,
  Namer,
  variationName,
  type Dressing,
  type TableNote,
  type Variation,
} from "../../core/batch";
import type { Piece } from "../../core/piece";
import { reportOf, toAct } from "../../core/preflight";
import { refuseUnpaintable, type Placement } from "../../core/placements";
import { problem } from "../../core/problem";
import { carousels, shippedTemplates } from "../../core/shipped";
import {
  asStrip,
  filesFor,
  isStrip,
  pictureNames,
  readOutline,
  shownAt,
  type SlideFile,
  withOutline,
} from "../../core/strip";
import { FolderFiles } from "../files/folders";
import { fileId } from "../files/hash";
import { WithShipped } from "../files/shipped";
import { Studio } from "../render/studio";
import { Alike } from "../services/alike";
import { openPiece, placementsOf, type Shipped } from "./documents";
import { UsageError, type Options } from "./options";
import { variationsOf } from "./variations";

export interface Outcome {
  files: number;
  mustFix: number;
  notes: TableNote[];
  /** Pictures that an outline names and that are not there. */
  unknown: string[];
}

/** Makes every chosen size of every variation, with manifest.json and a layout report for each. */
export async function make(options: Options, shipped: Shipped): Promise<Outcome> {
  const opened = await openPiece(options, shipped);
  const { brand, known, folders } = opened;
  const files = new FolderFiles(folders);
  const outlined = await withOutlineAt(options.outline, opened.piece, files);
  const { piece } = outlined;
  const placements = placementsOf(options.placements, piece, known);
  if (!options.layoutOnly && options.format !== "svg")
    for (const placement of placements) refuseUnpaintable(placement, options.scale);
  const templates = isStrip(piece) ? carousels : shippedTemplates;
  const dressing = { brand, templates };
  const { variations, notes } = await variationsOf(options, piece, {
    pictures: await files.names(),
    looks: { brand, templates, placements },
  });
  const inParts = options.parts && isStrip(piece);
  const batch = new Making(
    options,
    piece,
    placements,
    dressing,
    new Studio(new WithShipped(shipped.fonts, files), shipped.faces),
    // What says that a slide begins a part is not there for all.
    options.apart || inParts ? [] : variations,
  );
  await mkdir(options.out, { recursive: true });
  for (const [index, variation] of variations.entries()) {
    const name =
      variations.length > 1 || options.table ? variationName(index, variations.length) : "";
    await batch.variation(variation, name);
  }
  await batch.writeManifest();
  const { unknown } = outlined;
  return { files: batch.count, mustFix: batch.mustFix, notes, unknown };
}

/** The piece with the slides of an outline, if one is given; `unknown` are pictures that are not beside the piece. */
async function withOutlineAt(
  path: string | undefined,
  piece: Piece,
  files: FolderFiles,
): Promise<{ piece: Piece; unknown: string[] }> {
  if (path === undefined) return { piece, unknown: [] };
  const text = await readFile(path, "utf8").catch(() => {
    throw problem("not-found", { what: "file", id: path });
  });
  const outline = readOutline(text);
  if (outline.length === 0) throw new UsageError(`--outline: “${path}” has no slides`);
  return withOutline(asStrip(piece), outline, pictureNames(await files.names()));
}

/** One run: its names, and what has been written so far. */
class Making {
  count = 0;
  mustFix = 0;
  private readonly namer = new Namer();
  private readonly files: ManifestFile[] = [];
  private readonly alike: Alike;

  constructor(
    private readonly options: Options,
    private readonly piece: Piece,
    private readonly placements: Placement[],
    private readonly dressing: Dressing,
    private readonly studio: Studio,
    /** Those that are laid out alike. */
    alike: readonly Variation[],
  ) {
    this.alike = new Alike(
      (task) => studio.composition(task.piece, task.of, task.brand, task.placement),
      { document: piece, ...dressing, variations: [...alike] },
    );
  }

  async variation(variation: Variation, name: string): Promise<void> {
    const piece = applyVariation(this.piece, variation, this.dressing);
    for (const placement of this.placements.filter((one) => isFor(variation, one))) {
      for (const file of filesFor(piece, placement, this.options.parts))
        await this.size(file, placement, variation, name);
    }
  }

  private async size(
    { piece: whole, index, slide, part, name }: SlideFile,
    placement: Placement,
    variation: Variation,
    called: string,
  ): Promise<void> {
    const { format, scale, layoutOnly, svgText, out } = this.options;
    const { studio } = this;
    const { brand } = this.dressing;
    const piece = shownAt(whole, placement);
    const siblings = await this.alike.composition(variation, piece, placement, index);
    const alike = siblings && (await studio.makeAlike(piece, siblings, brand, placement));
    const { layout, scene } = alike ?? (await studio.make(piece, brand, placement));
    const report = reportOf(layout);
    const [width, height] = [Math.round(scene.width * scale), Math.round(scene.height * scale)];
    const parts = {
      crate: "",
      piece: piece.title,
      placement: placement.id,
      variation: called,
      slide: name,
      width,
      height,
    };
    const file = this.namer.name(parts, format === "jpeg" ? "jpg" : format);
    const layoutFile = file.replace(/\.[a-z]+$/, ".layout.json");
    await writeFile(join(out, layoutFile), `${JSON.stringify(report, null, 2)}\n`);
    if (report.findings.some((finding) => finding.level === "must-fix")) this.mustFix++;
    const image = layoutOnly
      ? Buffer.alloc(0)
      : await this.studio.encode(scene, format, scale, svgText);
    if (!layoutOnly) await writeFile(join(out, file), image);
    this.files.push({
      file: layoutOnly ? layoutFile : file,
      placement: placement.id,
      ...(called ? { variation: called } : {}),
      ...(slide ? { slide } : {}),
      ...(part ? { part } : {}),
      width,
      height,
      bytes: image.length,
      sha256: fileId(image),
      alt: altText(piece),
      findings: toAct(report.findings).length,
      layout: layoutFile,
    });
    this.count++;
  }

  async writeManifest(): Promise<void> {
    const manifest: Manifest = {
      format: "zestcrate/manifest",
      version: 1,
      crate: "",
      piece: this.piece.title,
      brand: this.dressing.brand.name,
      scale: this.options.scale,
      files: this.files,
    };
    const path = join(this.options.out, "manifest.json");
    await writeFile(path, `${JSON.stringify(manifest, null, 2)}\n`);
  }
}
