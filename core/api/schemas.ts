import { z } from "zod";
import { Table, TableNote } from "../batch";
import { Brand, BrandColour } from "../brand";
import { Hex, Spread } from "../colour";
import { FileId, ListedPicture, PictureFile } from "../files";
import { Id } from "../id";
import { Edit } from "../edit";
import { Crate, LayoutId, LIMITS, Origin, Piece, Size, SlotName } from "../piece";
import { Catalogue, Placement } from "../placements";
import { problemCodes } from "../problem";
import { Template } from "../templates";

/** Every error's body: the sentence is `message`. */
export const ProblemAnswer = z.object({ code: z.enum(problemCodes), message: z.string() });

/** `locked` names the kits that can only be changed with their key, `demo` those that came with the program. */
export const BrandList = z.object({
  brands: z.array(Brand),
  locked: z.array(z.string()),
  demo: z.array(z.string()),
});
/** `shipped` has the facts as they came, of those placements that the team has changed. */
export const PlacementList = Catalogue.extend({ shipped: z.array(Placement) });
export type PlacementList = z.infer<typeof PlacementList>;
/** A placement without its id, which is made of its name and stays. */
export const PlacementFacts = Placement.omit({ id: true });
export type PlacementFacts = z.infer<typeof PlacementFacts>;
/** The ids of what an import brought, what it corrected and what was so already. */
export const PlacementImport = z.object({
  added: z.array(z.string()),
  changed: z.array(z.string()),
  same: z.array(z.string()),
});
export type PlacementImport = z.infer<typeof PlacementImport>;
/** A piece that goes to a placement. */
export const PlacementUse = z.object({ id: z.string(), title: z.string(), crate: z.string() });
export type PlacementUse = z.infer<typeof PlacementUse>;
export const PlacementUses = z.object({ pieces: z.array(PlacementUse) });

/** `archived` are the pieces that were put aside. */
export const CrateAnswer = Crate.extend({ pieces: z.array(Piece), archived: z.array(Piece) });
export type CrateAnswer = z.infer<typeof CrateAnswer>;

/** A piece as lists have it: what it is called, where it goes, what it shows, and when it was last changed (ISO 8601). */
export const ListedPiece = z.object({
  id: Id,
  kind: Piece.shape.kind,
  title: Piece.shape.title,
  brand: Id,
  lead: Id,
  origin: Origin.optional(),
  /** What the pieces with which it is laid out as a set have in common. */
  set: Id.optional(),
  sizes: z.array(Size.pick({ placement: true, own: true })),
  pictures: z.array(FileId),
  revision: z.number().int(),
  changed: z.string(),
});
export type ListedPiece = z.infer<typeof ListedPiece>;
export const ListedCrate = Crate.extend({
  pieces: z.array(ListedPiece),
  archived: z.array(ListedPiece),
});
export type ListedCrate = z.infer<typeof ListedCrate>;
export const CrateList = z.object({ crates: z.array(ListedCrate) });

/** The header that says who asks: each takes back what they did themselves. */
export const AUTHOR_HEADER = "zest-author";
export const AuthorHeader = z.object({ [AUTHOR_HEADER]: z.string().max(80).optional() });

/** A piece with what its history allows. `revision` grows by one with each change. */
export const PieceAnswer = z.object({
  piece: Piece,
  crate: z.object({ id: z.string(), name: z.string() }),
  revision: z.number().int(),
  /** The variation of a batch that it is, opened to be changed by hand. */
  variation: z.object({ batch: z.string(), name: z.string() }).optional(),
  /** What the next step back and the next step forward are called; absent where there is none. */
  undo: z.string().optional(),
  redo: z.string().optional(),
  /** What is to be said of what was just done. */
  note: z.string().optional(),
});
export type PieceAnswer = z.infer<typeof PieceAnswer>;

/** A step of a piece's history. One that was taken back lies ahead until something else is done. */
export const HistoryStep = z.object({
  name: z.string(),
  /** ISO 8601. */
  at: z.string(),
  undone: z.boolean(),
});
export type HistoryStep = z.infer<typeof HistoryStep>;

/** One's own steps, the newest first. */
export const HistoryAnswer = z.object({ steps: z.array(HistoryStep) });
export type HistoryAnswer = z.infer<typeof HistoryAnswer>;

/** `force` overwrites what another window changed meanwhile. */
export const EditRequest = z.object({
  edit: Edit,
  force: z.boolean().default(false),
  /** How each placement is laid out on the screen where the edit was made; see the piece's `shown`. */
  shown: Piece.shape.shown,
});

export const CrateChange = z.object({
  name: z.string().trim().min(1, "a crate needs a name").max(120),
});
/** Where a piece is kept: put aside or not, and in which crate. */
export const PieceFiling = z.object({
  archived: z.boolean().optional(),
  crate: Id.optional(),
});
export type PieceFiling = z.infer<typeof PieceFiling>;

/** A size's best layouts, the best first. */
export const LayoutChoices = z.object({ layouts: z.array(LayoutId) });
export type LayoutChoices = z.infer<typeof LayoutChoices>;

export const NewCrate = z.object({
  name: z.string().trim().min(1).max(120),
  brand: Id,
});
/** Characters: some forty slides, each of which says as much as a slide can hold. */
export const MOST_OUTLINE = 60_000;
const title = z.string().trim().min(1).max(LIMITS.title).optional();
/**
 * A copy of another piece, or a template with words by slot and pictures in the order of importance; a carousel also with an
 * outline, which then counts instead of the words.
 */
export const NewPiece = z.union([
  z.object({ from: Id, title }),
  z.object({
    template: Id,
    words: z.record(SlotName, z.string().max(LIMITS.text)).default({}),
    pictures: z.array(FileId).max(20).default([]),
    outline: z.string().max(MOST_OUTLINE).optional(),
    title,
  }),
]);
export type NewPiece = z.infer<typeof NewPiece>;

/** The templates that there are; `house` names those that the team has made. */
export const TemplateList = z.object({ templates: z.array(Template), house: z.array(z.string()) });
export type TemplateList = z.infer<typeof TemplateList>;

/** A piece that is to be a template of the house; `fixed` are slots that keep what the piece says. */
export const NewTemplate = Template.pick({
  name: true,
  purposes: true,
  looks: true,
  mood: true,
  note: true,
}).extend({ piece: Id, fixed: z.array(SlotName).default([]) });
export type NewTemplate = z.infer<typeof NewTemplate>;
export const ImportAnswer = z.object({
  brands: z.array(z.string()),
  crates: z.array(z.string()),
  pieces: z.array(z.string()),
  files: z.number().int(),
});
export type ImportAnswer = z.infer<typeof ImportAnswer>;

/** `brands` are those that a picture belongs to: whose it came with, and whose pieces show it. With none it is anybody's. */
export const StoredPicture = ListedPicture.extend({ brands: z.array(z.string()) });
export type StoredPicture = z.infer<typeof StoredPicture>;
export const PictureList = z.object({ pictures: z.array(StoredPicture) });

/** How many slides an article becomes at the most. */
export const ArticleOptions = z.object({
  slides: z.coerce.number().int().min(2).max(20).default(8),
});
export const ArticleText = z.object({ text: z.string().max(2_000_000) });
/** An article as the outline of a strip, and what of it is on no slide, each with the slide (from 0) that it would stand on. */
export const ArticleAnswer = z.object({
  outline: z.string(),
  leftOut: z.array(z.object({ text: z.string(), slide: z.number().int() })),
});
export type ArticleAnswer = z.infer<typeof ArticleAnswer>;

export const TableText = z.object({ text: z.string().max(20_000_000) });
export const TableAnswer = z.object({ table: Table, notes: z.array(TableNote) });
export type TableAnswer = z.infer<typeof TableAnswer>;

/** One font of a file: what it is, what it can set, and whether its licence lets it be built into an SVG. */
export const FontFacts = z.object({
  family: z.string(),
  index: z.number().int(),
  axes: z.record(z.string(), z.object({ min: z.number(), default: z.number(), max: z.number() })),
  characters: z.number().int(),
  scripts: z.array(z.string()),
  features: z.array(z.string()),
  embedding: z.enum(["free", "editable", "print-and-preview", "forbidden"]),
});
export type FontFacts = z.infer<typeof FontFacts>;
export const FontAnswer = z.object({ id: FileId, name: z.string(), faces: z.array(FontFacts) });
export type FontAnswer = z.infer<typeof FontAnswer>;

/** A page of the specimen as a file. `font` sets it in a stored font, `picture` is what its pictures show. */
export const SpecimenQuery = z.object({
  format: z.enum(["png", "svg"]).default("png"),
  scale: z.coerce.number().min(0.1).max(4).default(1),
  font: FileId.optional(),
  picture: FileId.optional(),
});
export type SpecimenQuery = z.infer<typeof SpecimenQuery>;

/** The brand sheet: all pages as a PDF, or one of them (`colours`, `type`, `use`) as an image. */
export const SheetQuery = z.object({
  format: z.enum(["pdf", "png", "svg"]).default("pdf"),
  page: z.enum(["colours", "type", "use"]).default("colours"),
  scale: z.coerce.number().min(0.1).max(4).default(2),
});
export type SheetQuery = z.infer<typeof SheetQuery>;

/** Formats in which a kit's colours and typefaces can be taken elsewhere. */
export const ColourFormat = z.enum(["tokens", "css", "palette"]);
export type ColourFormat = z.infer<typeof ColourFormat>;

/** A kit as it was at a time; `changes` says in words what that version changed. */
export const BrandVersion = z.object({
  number: z.number().int(),
  created: z.string(),
  changes: z.array(z.string()),
  document: Brand,
});
export type BrandVersion = z.infer<typeof BrandVersion>;
export const BrandVersionList = z.object({ versions: z.array(BrandVersion) });

/** The kit as it is to be. `version` is the one that was changed: another window's work is not written over. */
export const BrandChange = z.object({
  brand: Brand,
  version: z.number().int().min(0),
  /** Of a locked kit. */
  key: z.string().optional(),
});

/** The key that a kit is locked with, or unlocked by. */
export const BrandKey = z.object({
  key: z.string().min(4, "a key has at least 4 characters").max(100),
});

/** A spread that comes first for every piece of the brand, or no longer does. */
export const SpreadPinning = z.object({
  spread: Spread,
  pinned: z.boolean(),
  key: z.string().max(200).optional(),
});
export type SpreadPinning = z.infer<typeof SpreadPinning>;

/** A kit that pieces have can only be deleted when they are given another. */
export const BrandDeletion = z.object({
  instead: z.string().optional(),
  key: z.string().optional(),
});

/** What got another brand, with what to look at. */
export const RebrandAnswer = z.object({
  pieces: z.array(z.object({ id: z.string(), title: z.string(), notes: z.array(z.string()) })),
});
export type RebrandAnswer = z.infer<typeof RebrandAnswer>;
export const RebrandRequest = z.object({ brand: z.string().min(1) });

/** What was made for handing over before something that it shows was changed; `why` says what. */
export const OutdatedList = z.object({
  outdated: z.array(
    z.object({
      kind: z.enum(["delivery", "batch"]),
      id: z.string(),
      piece: z.string(),
      title: z.string(),
      created: z.string(),
      why: z.array(z.string()),
    }),
  ),
});
export type OutdatedList = z.infer<typeof OutdatedList>;

/** Another version of a logo: cut out of its flat ground, or filled with one colour. */
export const LogoWish = z.discriminatedUnion("as", [
  z.object({ as: z.literal("without-ground") }),
  z.object({ as: z.literal("one-colour"), hex: Hex }),
]);
export type LogoWish = z.infer<typeof LogoWish>;

/** What was read off a logo or screenshot, which is stored as `picture`. */
export const PaletteAnswer = z.object({
  picture: PictureFile,
  colours: z.array(BrandColour.extend({ from: z.string() })),
});
export type PaletteAnswer = z.infer<typeof PaletteAnswer>;

export const BinKind = z.enum([
  "piece",
  "crate",
  "picture",
  "batch",
  "delivery",
  "brand",
  "template",
]);
export type BinKind = z.infer<typeof BinKind>;

/** Something that was deleted and can be brought back `until` then. */
export const Binned = z.object({
  kind: BinKind,
  id: z.string(),
  name: z.string(),
  deleted: z.string(),
  until: z.string(),
});
export type Binned = z.infer<typeof Binned>;

/** What takes room; `renditions` are copies that were scaled for the screen. */
export const StorageKind = z.enum(["files", "batches", "deliveries", "renditions", "documents"]);
export type StorageKind = z.infer<typeof StorageKind>;

/** What lies on the disk, by kind, and what could be done without. */
export const StorageAnswer = z.object({
  usage: z.array(z.object({ kind: StorageKind, count: z.number().int(), bytes: z.number() })),
  free: z.number(),
  /** Pictures that no piece, kit, template or batch shows. */
  unused: z.array(z.object({ id: FileId, name: z.string(), bytes: z.number() })),
  bin: z.array(Binned),
  /** Rows that could not be read, and were set aside as they are. */
  aside: z.array(z.object({ table: z.string(), id: z.string(), why: z.string() })),
  /** A backup waits for the next start. */
  restoring: z.boolean(),
});
export type StorageAnswer = z.infer<typeof StorageAnswer>;
