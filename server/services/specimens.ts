import { readFile, rm } from "node:fs/promises";
import { join } from "node:path";
import type { SheetQuery, SpecimenQuery } from "../../core/api";
import type { Brand } from "../../core/brand";
import { problem } from "../../core/problem";
import { brandSheet, inFont, specimen, type Specimen } from "../../core/specimen";
import { scratchIn } from "../files/scratch";
import type { Library } from "./library";
import type { ServerContext } from "../context";

/** Pages that show what can be painted in a brand, made on the server as any other graphic. */
export class Specimens {
  constructor(
    private readonly context: ServerContext,
    private readonly library: Library,
  ) {}

  /** One page as a file's bytes. Throws not-found for a page that there is not. */
  async page(brandId: string, pageId: string, query: SpecimenQuery): Promise<Buffer> {
    const kit = await this.library.brand(brandId);
    const brand = query.font ? inFont(kit, query.font) : kit;
    const picture = query.picture && (await this.library.picture(query.picture)).id;
    return this.image(brand, specimen(brand, picture), pageId, query);
  }

  /** One page of the brand sheet as an image. */
  async sheetPage(brandId: string, pageId: string, query: SheetQuery): Promise<Buffer> {
    const brand = await this.library.brand(brandId);
    const format = query.format === "pdf" ? "png" : query.format;
    return this.image(brand, brandSheet(brand), `sheet-${pageId}`, { ...query, format });
  }

  /** The whole brand sheet as a PDF. */
  async sheet(brandId: string): Promise<{ name: string; bytes: Uint8Array }> {
    const brand = await this.library.brand(brandId);
    return { name: brand.name, bytes: await this.context.pool.sheet(brand) };
  }

  private async image(
    brand: Brand,
    pages: Specimen[],
    pageId: string,
    { format, scale }: Pick<SpecimenQuery, "format" | "scale">,
  ): Promise<Buffer> {
    const page = pages.find(({ id }) => id === pageId);
    if (!page) throw problem("not-found", { what: "page", id: pageId });
    const folder = await scratchIn(this.context.folder);
    try {
      const path = join(folder, "page");
      const { piece, placement } = page;
      await this.context.pool.run({ piece, brand, placement, format, scale, path });
      return await readFile(path);
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }
}
