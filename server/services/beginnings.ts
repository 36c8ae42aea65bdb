import type { NewPiece, PieceAnswer } from "../../core/api";
import { knownPlacement, withFrame, type Piece } from "../../core/piece";
import { pieceOf, type Template } from "../../core/templates";
import type { Library } from "./library";
import type { Pieces } from "./pieces";
import type { Placements } from "./placements";
import type { Surroundings } from "./services";
import type { Templates } from "./templates";

type FromTemplate = Extract<NewPiece, { template: string }>;

/** New pieces: copies of others, and templates with a message of one's own. */
export class Beginnings {
  constructor(
    private readonly around: Surroundings,
    private readonly pieces: Pieces,
    private readonly library: Library,
    private readonly placements: Placements,
    private readonly templates: Templates,
  ) {}

  begin(crate: string, wanted: NewPiece): Promise<PieceAnswer> {
    return "from" in wanted
      ? this.pieces.copy(crate, wanted.from, wanted.title)
      : this.fromTemplate(crate, wanted);
  }

  private async fromTemplate(crate: string, wanted: FromTemplate): Promise<PieceAnswer> {
    const template = await this.templates.get(wanted.template);
    for (const id of wanted.pictures) await this.library.picture(id);
    const lookup = await this.placements.lookup();
    return this.pieces.begin(crate, async (id, brand): Promise<Piece> => {
      const title = wanted.title ?? titleOf(wanted, template);
      const piece = withFrame(pieceOf(template, brand, { ...wanted, id, title }), lookup);
      const placement = knownPlacement(piece, piece.lead, lookup);
      return this.around.pool.begun({ piece, brand, placement });
    });
  }
}

/** A title longer than this is cut at a word. */
const MOST_TITLE = 48;

/** What it says first, without its marks; else the template's name. */
function titleOf({ words }: FromTemplate, template: Template): string {
  const said = words.headline ?? words.quote ?? words.support ?? "";
  const plain = said
    .replace(/[*_~=“”"„]/g, "")
    .split("\n")[0]!
    .trim();
  if (!plain) return template.name;
  if (plain.length <= MOST_TITLE) return plain;
  return `${plain.slice(0, plain.lastIndexOf(" ", MOST_TITLE) || MOST_TITLE)} …`;
}
