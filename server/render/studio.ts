import sharp from "sharp";
import type { ImageFormat } from "../../core/api";
import type { Brand } from "../../core/brand";
import { fittedPiece, makeScene, makeScenes, type Made } from "../../core/engine";
import type { FileId, PictureFile } from "../../core/files";
import { loadType, piecePictures } from "../../core/needs";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import type { Sources } from "../../core/resolve";
import { compose, type Scene } from "../../core/scene";
import {
  compose as composeAlike,
  layoutAlike,
  type Class,
  type Composition,
} from "../../core/siblings";
import { slideCount, slideOf, withSlide } from "../../core/strip";
import { contactSheet, sizeSheet, type SheetAbout } from "../../core/sheet";
import { Typesetter } from "../../core/type";
import { NO_FACES, withFaces, type FaceFinder } from "../faces/pool";
import { toSfnt } from "../files/sfnt";
import type { FileSource } from "../files/source";
import { iconLookup } from "./icons";
import { inspectPicture } from "./inspect";
import { sheetOf } from "./pages";
import { Painter } from "./painter";
import { svgOf, type SvgText } from "./svg";

sharp.concurrency(1);
sharp.cache(false);

/** Of so many pictures it is kept what they show. */
const MOST_KNOWN = 500;

/** Makes pieces on the server, and has them painted. Keeps fonts and pictures that it has met; one for each thread. */
export class Studio {
  readonly painter: Painter;
  private readonly typesetter = new Typesetter();
  private readonly pictures = new Map<FileId, PictureFile>();

  /** `faces` looks for them in pictures of which nothing is known; where pieces say what was found, nobody needs to. */
  constructor(
    private readonly files: FileSource,
    private readonly faces: FaceFinder = NO_FACES,
  ) {
    this.painter = new Painter(files, this.pictures);
  }

  /** The scene of one placement. */
  async make(piece: Piece, brand: Brand, placement: Placement): Promise<Made> {
    return makeScene(piece, brand, placement, await this.sources(piece, brand));
  }

  /** The scene of a piece as its siblings stand; undefined where it cannot stand so. */
  async makeAlike(
    piece: Piece,
    composition: Composition,
    brand: Brand,
    placement: Placement,
  ): Promise<Made | undefined> {
    const sources = await this.sources(piece, brand);
    const layout = layoutAlike(piece, composition, brand, placement, sources);
    return layout && { layout, scene: compose(layout) };
  }

  /** How pieces of a class stand on a size. */
  async composition(
    piece: Piece,
    of: Class,
    brand: Brand,
    placement: Placement,
  ): Promise<Composition> {
    for (const message of [of.longest, ...of.tried.map((one) => one.message)])
      await this.load({ ...piece, message: { ...piece.message, ...message } }, brand);
    return composeAlike(piece, of, brand, placement, await this.sources(piece, brand));
  }

  /** A piece that was made from a template, with the lead of each of its slides fitted to its words. */
  async fitted(given: Piece, brand: Brand, placement: Placement): Promise<Piece> {
    let piece = given;
    for (let index = 0; index < slideCount(given); index++) {
      const slide = slideOf(piece, index);
      const sources = await this.sources(slide, brand);
      piece = withSlide(piece, index, fittedPiece(slide, brand, placement, sources));
    }
    return piece;
  }

  /** All sizes of a piece on one page. */
  async sizeSheet(
    piece: Piece,
    brand: Brand,
    placements: readonly Placement[],
    about: SheetAbout,
    format: "png" | "pdf",
  ): Promise<Buffer> {
    const sheet = sizeSheet(placements, piece.lead, about);
    const { scene: page } = await this.make(sheet.piece, sheet.brand, sheet.placement);
    const made = makeScenes(piece, brand, placements, await this.sources(piece, brand));
    const sizes = made.map(({ scene }, i) => ({ scene, at: sheet.at[i]! }));
    return sheetOf(this.painter, { page, sizes }, format, about.title);
  }

  /** Variations of one size on one page, with their names. */
  async contactSheet(
    scenes: readonly Scene[],
    names: readonly string[],
    placement: Placement,
    about: SheetAbout,
    format: "png" | "pdf",
  ): Promise<Buffer> {
    const sheet = contactSheet(placement, names, about);
    const { scene: page } = await this.make(sheet.piece, sheet.brand, sheet.placement);
    const sizes = scenes.map((scene, i) => ({ scene, at: sheet.at[i]! }));
    return sheetOf(this.painter, { page, sizes }, format, about.title);
  }

  /** What the engine looks things up in, with everything loaded that the piece uses. */
  async sources(piece: Piece, brand: Brand): Promise<Sources> {
    await this.load(piece, brand);
    return {
      typesetter: this.typesetter,
      pictures: (id) => this.pictures.get(id),
      icons: iconLookup,
    };
  }

  /** The scene as a file of any format, `scale` pixels for each of its pixels. */
  async encode(
    scene: Scene,
    format: ImageFormat,
    scale: number,
    svgText: SvgText = "outlines",
  ): Promise<Buffer> {
    if (format !== "svg") return this.painter.encode(scene, format, scale);
    const { painter, files, typesetter } = this;
    return Buffer.from(await svgOf(painter, scene, scale, svgText, { files, typesetter }));
  }

  private async load(piece: Piece, brand: Brand): Promise<void> {
    await loadType(piece, brand, this.typesetter, async (id) => toSfnt(await this.files.read(id)));
    for (const id of piecePictures(piece, brand)) {
      if (!this.pictures.has(id)) {
        const bytes = await this.files.read(id);
        const picture = await inspectPicture(bytes, id);
        const faces = picture.vector ? undefined : await this.faces.find(bytes);
        this.pictures.set(id, withFaces(picture, faces));
        // Those of the pieces at hand are among the newest.
        const [oldest] = this.pictures.keys();
        if (this.pictures.size > MOST_KNOWN) this.pictures.delete(oldest!);
      }
    }
  }
}
