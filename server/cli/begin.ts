import { mkdir, readFile, writeFile } from "node:fs/promises";
import { basename, dirname, extname, join, resolve } from "node:path";
import type { Brand } from "../../core/brand";
import { fitLead, type Fitted } from "../../core/engine";
import type { FileId } from "../../core/files";
import { sortMessage, wordsOf } from "../../core/message";
import { inOrder, offer, offerStrip, type Offer } from "../../core/offers";
import type { Piece } from "../../core/piece";
import { placementById } from "../../core/placements";
import { languageOf } from "../../core/language";
import {
  isOutline,
  outlineWords,
  pictureNames,
  readOutline,
  slideCount,
  slideOf,
  unknownPictures,
  type OutlineSlide,
} from "../../core/strip";
import { carousels, shippedTemplates } from "../../core/shipped";
import { isStripTemplate, pieceOf, titleFor, type Template } from "../../core/templates";
import { FolderFiles } from "../files/folders";
import { WithShipped } from "../files/shipped";
import { Studio } from "../render/studio";
import { brandAt, readText, type Shipped } from "./documents";
import { UsageError, type BeginOptions } from "./options";

export interface Begun {
  /** The files that were written, best first. */
  names: string[];
  /** Pictures that an outline names and that are not in the folder of pictures. */
  unknown: string[];
}

/** Begins pieces with a typed message, as the program's first page would offer them, and carousels with an outline. */
export async function begin(options: BeginOptions, shipped: Shipped): Promise<Begun> {
  const said = readSaid(await readText(options.message));
  if (said.texts.length === 0)
    throw new UsageError(`${basename(options.message)} says nothing: write a line or more into it`);
  const brand = await brandAt(options.brand);
  const templates = templatesFor(options.template, said.outline !== undefined);
  const near = dirname(resolve(options.brand));
  const folders = [near, dirname(near), ...(options.pictures ? [options.pictures] : [])];
  const files = new FolderFiles([...folders, shipped.demo]);
  const studio = new Studio(new WithShipped(shipped.fonts, files), shipped.faces);
  const pictures = options.pictures === undefined ? [] : await picturesIn(options.pictures);
  const wanted = {
    ...said,
    language: languageOf(said.texts.join("\n")),
    pictures: pictures.map(({ id }) => id),
    names: pictureNames(pictures.map(({ id, path }) => ({ id, name: basename(path) }))),
  };
  const offers: (Offer & { id: string })[] = [];
  for (const template of templates) {
    const title = titleFor(said.words, template.name);
    const first = pieceOf(template, brand, { ...wanted, id: `from-${template.id}`, title });
    offers.push({ id: template.id, ...(await offered(template, first, brand, studio)) });
  }
  await mkdir(options.out, { recursive: true });
  for (const { id, path } of pictures)
    await writeFile(join(options.out, `${id}${extname(path)}`), await readFile(path));
  const best = inOrder(offers).slice(0, options.best);
  const names = best.map(({ id }, i) => `${String(i + 1).padStart(2, "0")}_${id}.json`);
  for (const [i, { piece }] of best.entries())
    await writeFile(join(options.out, names[i]!), `${JSON.stringify(piece, null, 2)}\n`);
  return { names, unknown: unknownPictures(said.outline ?? [], wanted.names) };
}

interface Said {
  words: Record<string, string>;
  outline?: OutlineSlide[];
  texts: string[];
}

/** The lines of one message, or the slides of an outline. */
function readSaid(text: string): Said {
  if (!isOutline(text)) {
    const words = wordsOf(sortMessage(text));
    return { words, texts: Object.values(words) };
  }
  const outline = readOutline(text);
  const words = Object.fromEntries(outline[0]?.words ?? []);
  return { words, outline, texts: outlineWords(outline) };
}

function templatesFor(id: string | undefined, isStrip: boolean): readonly Template[] {
  const all = isStrip ? carousels : shippedTemplates;
  const templates = id === undefined ? all : all.filter((template) => template.id === id);
  if (templates.length > 0) return templates;
  const ids = all.map((template) => template.id).join(", ");
  throw new UsageError(`--template: there is no template “${id}”. Known are ${ids}`);
}

/** What a template makes of the message, its slides fitted to their words. */
async function offered(
  template: Template,
  first: Piece,
  brand: Brand,
  studio: Studio,
): Promise<Offer> {
  const lead = placementById(first.lead);
  if (!isStripTemplate(template)) {
    const sources = await studio.sources(first, brand);
    return offer(template, fitLead(first, brand, lead, sources), brand, sources);
  }
  const slides: Fitted[] = [];
  for (let at = 0; at < slideCount(first); at++) {
    const slide = slideOf(first, at);
    slides.push(fitLead(slide, brand, lead, await studio.sources(slide, brand)));
  }
  return offerStrip(template, first, slides, brand);
}

/** The pictures of a folder in the order of their names. */
async function picturesIn(folder: string): Promise<{ id: FileId; path: string }[]> {
  const found = await new FolderFiles([folder]).paths();
  const pictures = found.filter(({ path }) => /\.(jpe?g|png|webp|avif|gif|tiff?|svg)$/i.test(path));
  if (pictures.length === 0) throw new UsageError(`--pictures: there is no picture in ${folder}`);
  return pictures.sort((a, b) => a.path.localeCompare(b.path));
}
