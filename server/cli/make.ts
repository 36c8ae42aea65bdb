import { mkdir, readFile, writeFile } from "node:fs/promises";
import { basename, join } from "node:path";
import { altText, type Manifest, type ManifestFile } from "../../core/api";
import {
  applyVariation,
  combine,
  Namer,
  readTable,
  tableOfAlternatives,
  variationName,
  type PictureName,
  type Table,
  type TableNote,
  type Variation,
} from "../../core/batch";
import { brandSpreads, type Brand } from "../../core/brand";
import type { Piece } from "../../core/piece";
import { reportOf, toAct } from "../../core/preflight";
import { refuseUnpaintable, type Placement } from "../../core/placements";
import { problem } from "../../core/problem";
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
import { readTableFile } from "../imports/tables";
import { Studio } from "../render/studio";
import { Alike } from "../services/alike";
import { openPiece, placementsOf, type Shipped } from "./documents";
import { UsageError, type Options } from "./options";

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
  const { variations, notes } = await variationsOf(options, piece, brand, files);
  const inParts = options.parts && isStrip(piece);
  const batch = new Making(
    options,
    piece,
    placements,
    brand,
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

async function variationsOf(
  { alternatives, table, pair: pairing, sample, spreads: count }: Options,
  piece: Piece,
  brand: Brand,
  files: FolderFiles,
): Promise<{ variations: Variation[]; notes: TableNote[] }> {
  const read = alternatives ? keptBy(piece) : await tableAt(table);
  const spreads = brandSpreads(brand).slice(0, count);
  if (!read && spreads.length === 0) return { variations: [{ message: {} }], notes: [] };
  const pictures: PictureName[] = await files.names();
  const lists = read ? readTable(read.table, piece, pictures) : { slots: [], rows: [], notes: [] };
  const variations = [...combine({ lists, spreads, pairing, sample })];
  return { variations, notes: [...(read?.notes ?? []), ...lists.notes] };
}

interface Read {
  table: Table;
  notes: TableNote[];
}

function keptBy(piece: Piece): Read {
  const table = tableOfAlternatives(piece);
  if (table.columns.length === 0)
    throw new UsageError(`--alternatives: “${piece.title}” keeps no other wordings for any slot`);
  return { table, notes: [] };
}

async function tableAt(path: string | undefined): Promise<Read | undefined> {
  if (path === undefined) return undefined;
  const bytes = await readFile(path).catch(() => {
    throw problem("not-found", { what: "file", id: path });
  });
  return readTableFile(bytes, basename(path));
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
    private readonly brand: Brand,
    private readonly studio: Studio,
    /** Those that are laid out alike. */
    alike: readonly Variation[],
  ) {
    this.alike = new Alike(
      (task) => studio.composition(task.piece, task.of, task.brand, task.placement),
      { document: piece, brand, variations: [...alike] },
    );
  }

  async variation(variation: Variation, name: string): Promise<void> {
    const piece = applyVariation(this.piece, variation);
    for (const placement of this.placements) {
      for (const file of filesFor(piece, placement, this.options.parts))
        await this.size(file, placement, name);
    }
  }

  private async size(
    { piece: whole, index, slide, part, name }: SlideFile,
    placement: Placement,
    variation: string,
  ): Promise<void> {
    const { format, scale, layoutOnly, svgText, out } = this.options;
    const { brand, studio } = this;
    const piece = shownAt(whole, placement);
    const siblings = await this.alike.composition(piece.message, placement, index);
    const alike = siblings && (await studio.makeAlike(piece, siblings, brand, placement));
    const { layout, scene } = alike ?? (await studio.make(piece, brand, placement));
    const report = reportOf(layout);
    const [width, height] = [Math.round(scene.width * scale), Math.round(scene.height * scale)];
    const parts = {
      crate: "",
      piece: piece.title,
      placement: placement.id,
      variation,
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
      ...(variation ? { variation } : {}),
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
      brand: this.brand.name,
      scale: this.options.scale,
      files: this.files,
    };
    const path = join(this.options.out, "manifest.json");
    await writeFile(path, `${JSON.stringify(manifest, null, 2)}\n`);
  }
}
