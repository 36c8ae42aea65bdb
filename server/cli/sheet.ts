import { writeFile } from "node:fs/promises";
import { FolderFiles } from "../files/folders";
import { WithShipped } from "../files/shipped";
import { Studio } from "../render/studio";
import { openPiece, placementsOf, type Shipped } from "./documents";
import type { SheetOptions } from "./options";

/** Writes all sizes of a piece on one page; answers how many. `date` stands at its head. */
export async function sheet(
  options: SheetOptions,
  shipped: Shipped,
  date: string,
): Promise<number> {
  const { piece, brand, known, folders } = await openPiece(options, shipped);
  const placements = placementsOf(options.placements, piece, known);
  const studio = new Studio(
    new WithShipped(shipped.fonts, new FolderFiles(folders)),
    shipped.faces,
  );
  const format = options.out.toLowerCase().endsWith(".pdf") ? "pdf" : "png";
  const about = { crate: "", title: piece.title, brand: brand.name, date };
  await writeFile(options.out, await studio.sizeSheet(piece, brand, placements, about, format));
  return placements.length;
}
