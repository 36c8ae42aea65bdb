import { mkdir, readFile, writeFile } from "node:fs/promises";
import { basename, dirname, extname, join, resolve } from "node:path";
import { fitLead } from "../../core/engine";
import type { FileId } from "../../core/files";
import { sortMessage, wordsOf } from "../../core/message";
import { inOrder, offer, type Offer } from "../../core/offers";
import { placementById } from "../../core/placements";
import { languageOf } from "../../core/language";
import { pieceOf, shippedTemplates, titleFor } from "../../core/templates";
import { FolderFiles } from "../files/folders";
import { WithShipped } from "../files/shipped";
import { Studio } from "../render/studio";
import { brandAt, readText, type Shipped } from "./documents";
import { UsageError, type BeginOptions } from "./options";

/** Begins pieces with a typed message, as the program's first page would offer them; answers the files, best first. */
export async function begin(options: BeginOptions, shipped: Shipped): Promise<string[]> {
  const words = wordsOf(sortMessage(await readText(options.message)));
  if (Object.keys(words).length === 0)
    throw new UsageError(`${basename(options.message)} says nothing: write a line or more into it`);
  const brand = await brandAt(options.brand);
  const templates =
    options.template === undefined
      ? shippedTemplates
      : shippedTemplates.filter(({ id }) => id === options.template);
  if (templates.length === 0) {
    const ids = shippedTemplates.map(({ id }) => id).join(", ");
    throw new UsageError(
      `--template: there is no template “${options.template}”. Known are ${ids}`,
    );
  }
  const near = dirname(resolve(options.brand));
  const folders = [near, dirname(near), ...(options.pictures ? [options.pictures] : [])];
  const files = new FolderFiles([...folders, shipped.demo]);
  const studio = new Studio(new WithShipped(shipped.fonts, files), shipped.faces);
  const pictures = options.pictures === undefined ? [] : await picturesIn(options.pictures);
  const language = languageOf(Object.values(words).join("\n"));
  const offers: (Offer & { id: string })[] = [];
  for (const template of templates) {
    const id = `from-${template.id}`;
    const title = titleFor(words, template.name);
    const first = pieceOf(template, brand, {
      id,
      title,
      words,
      language,
      pictures: pictures.map((p) => p.id),
    });
    const sources = await studio.sources(first, brand);
    const fitted = fitLead(first, brand, placementById(first.lead), sources);
    offers.push({ id: template.id, ...offer(template, fitted, brand, sources) });
  }
  await mkdir(options.out, { recursive: true });
  for (const { id, path } of pictures)
    await writeFile(join(options.out, `${id}${extname(path)}`), await readFile(path));
  const best = inOrder(offers).slice(0, options.best);
  const names = best.map(({ id }, i) => `${String(i + 1).padStart(2, "0")}_${id}.json`);
  for (const [i, { piece }] of best.entries())
    await writeFile(join(options.out, names[i]!), `${JSON.stringify(piece, null, 2)}\n`);
  return names;
}

/** The pictures of a folder in the order of their names. */
async function picturesIn(folder: string): Promise<{ id: FileId; path: string }[]> {
  const found = await new FolderFiles([folder]).paths();
  const pictures = found.filter(({ path }) => /\.(jpe?g|png|webp|avif|gif|tiff?|svg)$/i.test(path));
  if (pictures.length === 0) throw new UsageError(`--pictures: there is no picture in ${folder}`);
  return pictures.sort((a, b) => a.path.localeCompare(b.path));
}
