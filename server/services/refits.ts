import type { LayoutChoices } from "../../core/api";
import { knownPlacement, type Piece } from "../../core/piece";
import { slideCount, slideOf, slidesFor, withSlide } from "../../core/strip";
import type { RefitTask } from "../render/task";
import type { Library } from "./library";
import type { Pieces } from "./pieces";
import type { Placements } from "./placements";
import type { ServerContext } from "../context";

/** What a size could be, before anything is changed. */
export class Refits {
  constructor(
    private readonly context: ServerContext,
    private readonly pieces: Pieces,
    private readonly library: Library,
    private readonly placements: Placements,
  ) {}

  /** The best layouts of one size, the best first. Throws `placement-unknown`. */
  async layouts(id: string, placement: string, slide: number): Promise<LayoutChoices> {
    const task = await this.task(id, placement);
    const piece = slideOf(task.piece, slide);
    return { layouts: await this.context.pool.layouts({ ...task, piece }) };
  }

  /** The piece as it would be with another lead size, with all its slides. Throws `placement-unknown`. */
  async withLead(id: string, placement: string): Promise<Piece> {
    const { pool } = this.context;
    const task = await this.task(id, placement);
    const { piece } = task;
    const slides = Array.from({ length: slideCount(piece) }, (_, index) =>
      pool.withLead({ ...task, piece: slideOf(piece, index) }),
    );
    return (await Promise.all(slides)).reduce(
      (strip, slide, index) => withSlide(strip, index, slide),
      piece,
    );
  }

  /** All sizes of a piece on one page, and a name for the file. */
  async sheet(id: string, format: "png" | "pdf"): Promise<{ name: string; bytes: Uint8Array }> {
    const { piece, crate } = await this.pieces.get(id);
    const brand = await this.library.brand(piece.brand);
    const lookup = await this.placements.lookup();
    const placements = piece.sizes.map(({ placement }) => knownPlacement(piece, placement, lookup));
    const date = new Intl.DateTimeFormat("en-GB", { dateStyle: "long" }).format(this.context.now());
    const about = { crate: crate.name, title: piece.title, brand: brand.name, date };
    const bytes = await this.context.pool.sizeSheet({ piece, brand, placements, about, format });
    return { name: `${piece.title}, all sizes.${format}`, bytes };
  }

  /** The slides of a strip at its lead size that say something, as a document or one long picture; and a name for the file. */
  async slides(id: string, format: "png" | "pdf"): Promise<{ name: string; bytes: Uint8Array }> {
    const { piece } = await this.pieces.get(id);
    const { brand, placement } = await this.task(id, piece.lead);
    const slides = slidesFor(piece, placement).map((index) => slideOf(piece, index));
    const { title } = piece;
    const bytes = await this.context.pool.slides({ slides, brand, placement, title, format });
    return { name: `${title}, slides.${format}`, bytes };
  }

  private async task(id: string, wanted: string): Promise<RefitTask> {
    const { piece } = await this.pieces.get(id);
    const placement = knownPlacement(piece, wanted, await this.placements.lookup());
    return { piece, brand: await this.library.brand(piece.brand), placement };
  }
}
