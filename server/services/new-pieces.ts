import type { NewPiece, PieceAnswer } from "../../core/api";
import { knownPlacement, withFrame, type Piece } from "../../core/piece";
import { languageOf } from "../../core/language";
import { outlineWords, pictureNames, readOutline } from "../../core/strip";
import { isStripTemplate, pieceOf, titleFor } from "../../core/templates";
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
    const outline = isStripTemplate(template) ? readOutline(wanted.outline ?? "") : [];
    return this.pieces.create(crate, async (id, brand): Promise<Piece> => {
      const words = outline.length > 0 ? outlineWords(outline) : Object.values(wanted.words);
      const said = outline[0] ? Object.fromEntries(outline[0].words) : wanted.words;
      const title = wanted.title ?? titleFor(said, template.name);
      const language = languageOf(words.join("\n"));
      const names = pictureNames(await this.library.photographsOf(brand.id));
      const first = pieceOf(template, brand, { ...wanted, outline, names, id, title, language });
      const piece = withFrame(first, lookup);
      const placement = knownPlacement(piece, piece.lead, lookup);
      return this.context.pool.fitted({ piece, brand, placement });
    });
  }
}
