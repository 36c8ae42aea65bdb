import { mkdtemp, readFile, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { SpecimenQuery } from "../../core/api";
import { problem } from "../../core/problem";
import { inFont, specimen } from "../../core/specimen";
import type { Library } from "./library";
import type { Surroundings } from "./services";

/** Pages that show what can be painted in a brand, made on the server as any other graphic. */
export class Specimens {
  constructor(
    private readonly around: Surroundings,
    private readonly library: Library,
  ) {}

  /** One page as a file's bytes. Throws not-found for a page that there is not. */
  async page(brandId: string, pageId: string, query: SpecimenQuery): Promise<Buffer> {
    const kit = await this.library.brand(brandId);
    const brand = query.font ? inFont(kit, query.font) : kit;
    const picture = query.picture && (await this.library.picture(query.picture)).id;
    const page = specimen(brand, picture).find(({ id }) => id === pageId);
    if (!page) throw problem("not-found", { what: "specimen page", id: pageId });
    const folder = await mkdtemp(join(tmpdir(), "zest-specimen-"));
    try {
      const path = join(folder, "page");
      const { piece, placement } = page;
      const { format, scale } = query;
      await this.around.pool.run({ piece, brand, placement, format, scale, path });
      return await readFile(path);
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }
}
