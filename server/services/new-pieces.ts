import type { NewPiece, PieceAnswer } from "../../core/api";
import { knownPlacement, withFrame, type Piece } from "../../core/piece";
import { languageOf } from "../../core/language";
import { pieceOf, titleFor } from "../../core/templates";
import type { Library } from "./library";
import type { Pieces } from "./pieces";
import type { Placements } from "./placements";
import type { ServerContext } from "../context";
import type { Templates } from "./templates";

type FromTemplate = Extract<NewPiece, { template: string }>;

/** New pieces: copies of others, and templates with a message of one's own. */
export class NewPieces {
  constructor(
    private readonly context: ServerContext,
    private readonly pieces: Pieces,
    private readonly library: Library,
    private readonly placements: Placements,
    private readonly templates: Templates,
  ) {}

  create(crate: string, wanted: NewPiece): Promise<PieceAnswer> {
    return "from" in wanted
      ? this.pieces.copy(crate, wanted.from, wanted.title)
      : this.fromTemplate(crate, wanted);
  }

  private async fromTemplate(crate: string, wanted: FromTemplate): Promise<PieceAnswer> {
    const template = await this.templates.get(wanted.template);
    for (const id of wanted.pictures) await this.library.picture(id);
    const lookup = await this.placements.lookup();
    return this.pieces.create(crate, async (id, brand): Promise<Piece> => {
      const title = wanted.title ?? titleFor(wanted.words, template.name);
      const language = languageOf(Object.values(wanted.words).join("\n"));
      const first = pieceOf(template, brand, { ...wanted, id, title, language });
      const piece = withFrame(first, lookup);
      const placement = knownPlacement(piece, piece.lead, lookup);
      return this.context.pool.fitted({ piece, brand, placement });
    });
  }
}
