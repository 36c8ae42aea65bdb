import {
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  unique,
} from "drizzle-orm/sqlite-core";
import type { BatchRequest, DeliveryRequest, JobState, Verdict } from "../../core/api";
import type { Variation } from "../../core/batch";
import { z } from "zod";
import { Brand } from "../../core/brand";
import type { PictureFile } from "../../core/files";
import { Edit } from "../../core/edit";
import type { Measured } from "../../core/measure";
import { Piece } from "../../core/piece";
import { Placement } from "../../core/placements";
import type { Results } from "../../core/results";
import { Template } from "../../core/templates";
import { document } from "./documents";

const created = () => text("created").notNull();
/** When it was put in the bin; null for what is not there. */
const deleted = () => text("deleted");

export const brands = sqliteTable("brands", {
  id: text("id").primaryKey(),
  document: document("document", Brand).notNull(),
  /** What the key of a locked kit is checked against; null when anybody may change it. */
  lock: text("lock"),
  created: created(),
});

/** What a kit was before each change, and what it is; the newest is the kit's own document. */
export const brandVersions = sqliteTable(
  "brand_versions",
  {
    brand: text("brand")
      .notNull()
      .references(() => brands.id),
    number: integer("number").notNull(),
    document: document("document", Brand).notNull(),
    created: created(),
  },
  (table) => [primaryKey({ columns: [table.brand, table.number] })],
);

/** Every stored file; the bytes lie in the blob folder under the same id. */
export const files = sqliteTable("files", {
  id: text("id").primaryKey(),
  name: text("name").notNull(),
  bytes: integer("bytes").notNull(),
  /** Null for what is not a picture. */
  picture: text("picture", { mode: "json" }).$type<PictureFile>(),
  /** The brand that a picture came with; it is offered to no other. Null for one that belongs to none. */
  brand: text("brand"),
  created: created(),
  deleted: deleted(),
});

export const crates = sqliteTable("crates", {
  id: text("id").primaryKey(),
  name: text("name").notNull(),
  brand: text("brand")
    .notNull()
    .references(() => brands.id),
  created: created(),
  deleted: deleted(),
});

export const pieces = sqliteTable(
  "pieces",
  {
    id: text("id").primaryKey(),
    crate: text("crate")
      .notNull()
      .references(() => crates.id),
    position: integer("position").notNull(),
    revision: integer("revision").notNull().default(0),
    /** Put aside: no longer on its crate's shelf, and brought back whole. */
    archived: integer("archived", { mode: "boolean" }).notNull().default(false),
    document: document("document", Piece).notNull(),
    created: created(),
    deleted: deleted(),
  },
  (table) => [index("pieces_by_crate").on(table.crate, table.position)],
);

/** A piece's history. `undone` edits lie ahead and can be done again until a new one is made. */
export const edits = sqliteTable(
  "edits",
  {
    id: integer("id").primaryKey({ autoIncrement: true }),
    piece: text("piece")
      .notNull()
      .references(() => pieces.id, { onDelete: "cascade" }),
    edit: document("edit", Edit).notNull(),
    /** Who made it; empty for what anybody may take back. */
    author: text("author").notNull().default(""),
    /** How the sizes were laid out before and after; they go back and forth with the edit. */
    shownBefore: text("shown_before", { mode: "json" }).$type<Piece["shown"]>(),
    shownAfter: text("shown_after", { mode: "json" }).$type<Piece["shown"]>(),
    undone: integer("undone", { mode: "boolean" }).notNull().default(false),
    at: real("at").notNull(),
  },
  (table) => [
    index("edits_by_piece").on(table.piece, table.id),
    // Lists say when each piece was last changed, without reading what was done.
    index("edits_by_time").on(table.piece, table.at),
  ],
);

/** A batch keeps the piece and the brand as they were when it was started, so that it can go on after a restart. */
export const batches = sqliteTable(
  "batches",
  {
    id: text("id").primaryKey(),
    piece: text("piece")
      .notNull()
      .references(() => pieces.id, { onDelete: "cascade" }),
    request: text("request", { mode: "json" }).$type<Omit<BatchRequest, "table">>().notNull(),
    variations: text("variations", { mode: "json" }).$type<Variation[]>().notNull(),
    document: document("document", Piece).notNull(),
    brand: document("brand", Brand).notNull(),
    /** The templates that arrange some of its variations, as they were. */
    templates: text("templates", { mode: "json" }).$type<Template[]>().notNull().default([]),
    /** The placements as they were; null for what was made before they were kept. */
    places: text("places", { mode: "json" }).$type<Placement[]>(),
    /** How its variations did, once somebody has said so. */
    results: text("results", { mode: "json" }).$type<Results>(),
    /** How often it was made again, of what the piece had become. */
    again: integer("again").notNull().default(0),
    created: created(),
    deleted: deleted(),
  },
  (table) => [index("batches_by_piece").on(table.piece)],
);

/** One finished file of a batch. */
export const outputs = sqliteTable(
  "outputs",
  {
    batch: text("batch")
      .notNull()
      .references(() => batches.id, { onDelete: "cascade" }),
    variation: integer("variation").notNull(),
    placement: text("placement").notNull(),
    /** Of a strip: which of its slides, from 0. */
    slide: integer("slide").notNull().default(0),
    width: integer("width").notNull(),
    height: integer("height").notNull(),
    bytes: integer("bytes").notNull(),
    sha256: text("sha256").notNull(),
    findings: integer("findings").notNull(),
    /** It is laid out by itself, since its words did not fit in the layout of the others. */
    apart: integer("apart", { mode: "boolean" }).notNull().default(false),
    /** Null until somebody wants to see it. */
    measured: text("measured", { mode: "json" }).$type<Measured>(),
  },
  (table) => [
    primaryKey({ columns: [table.batch, table.variation, table.placement, table.slide] }),
  ],
);

/** What a person has decided of a variation, and noted. */
export const verdicts = sqliteTable(
  "verdicts",
  {
    batch: text("batch")
      .notNull()
      .references(() => batches.id, { onDelete: "cascade" }),
    variation: integer("variation").notNull(),
    verdict: text("verdict").$type<Verdict>(),
    note: text("note").notNull().default(""),
  },
  (table) => [primaryKey({ columns: [table.batch, table.variation] })],
);

/** A variation that is opened to be changed by hand: as a piece of its own, which was `base` when it was opened. */
export const variationPieces = sqliteTable(
  "variation_pieces",
  {
    batch: text("batch")
      .notNull()
      .references(() => batches.id, { onDelete: "cascade" }),
    variation: integer("variation").notNull(),
    piece: text("piece")
      .notNull()
      .unique()
      .references(() => pieces.id, { onDelete: "cascade" }),
    base: document("base", Piece).notNull(),
  },
  (table) => [primaryKey({ columns: [table.batch, table.variation] })],
);

/** A file of a batch that could not be made, and why. */
export const failures = sqliteTable(
  "failures",
  {
    batch: text("batch")
      .notNull()
      .references(() => batches.id, { onDelete: "cascade" }),
    variation: integer("variation").notNull(),
    placement: text("placement").notNull(),
    slide: integer("slide").notNull().default(0),
    message: text("message").notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.batch, table.variation, table.placement, table.slide] }),
  ],
);

/** What is made in the background; a job has the id of the batch or delivery that it makes. */
export const jobs = sqliteTable(
  "jobs",
  {
    id: text("id").primaryKey(),
    kind: text("kind", { enum: ["batch", "delivery"] }).notNull(),
    state: text("state").$type<JobState>().notNull(),
    /** How often it was begun, and how often in a row it has failed without a reason. */
    runs: integer("runs").notNull().default(0),
    tries: integer("tries").notNull().default(0),
    message: text("message"),
    created: created(),
  },
  (table) => [index("jobs_by_state").on(table.state)],
);

export const deliveries = sqliteTable(
  "deliveries",
  {
    id: text("id").primaryKey(),
    piece: text("piece")
      .notNull()
      .references(() => pieces.id, { onDelete: "cascade" }),
    request: text("request", { mode: "json" }).$type<DeliveryRequest>().notNull(),
    made: integer("made").notNull().default(0),
    files: integer("files").notNull(),
    bytes: integer("bytes").notNull().default(0),
    name: text("name").notNull(),
    /** The piece and its brand as they were; null for what was made before they were kept. */
    document: document("document", Piece),
    brand: document("brand", Brand),
    /** The placements as they were; null like those. */
    places: text("places", { mode: "json" }).$type<Placement[]>(),
    created: created(),
    deleted: deleted(),
  },
  (table) => [index("deliveries_by_piece").on(table.piece)],
);

/** The house's own templates; those that ship with the program are not stored. */
export const templates = sqliteTable("templates", {
  id: text("id").primaryKey(),
  document: document("document", Template).notNull(),
  created: created(),
});

/** What is kept of a kit or a template that was deleted: its rows. */
export const PutAway = z.discriminatedUnion("kind", [
  z.object({
    kind: z.literal("brand"),
    row: z.object({
      id: z.string(),
      document: Brand,
      lock: z.string().nullable(),
      created: z.string(),
    }),
    versions: z.array(z.object({ number: z.number(), document: Brand, created: z.string() })),
  }),
  z.object({
    kind: z.literal("template"),
    row: z.object({ id: z.string(), document: Template, created: z.string() }),
  }),
]);
export type PutAway = z.infer<typeof PutAway>;

/** Kits and templates in the bin. */
export const putAway = sqliteTable("put_away", {
  number: integer("number").primaryKey({ autoIncrement: true }),
  id: text("id").notNull(),
  name: text("name").notNull(),
  kept: document("kept", PutAway).notNull(),
  deleted: text("deleted").notNull(),
});

/** What the team has corrected in the shipped placements, and added to them. */
export const placements = sqliteTable("placements", {
  id: text("id").primaryKey(),
  document: document("document", Placement).notNull(),
  created: created(),
});

/** Rows of other tables that could not be read, as they were; they can be mended by hand and put back. */
export const setAside = sqliteTable("set_aside", {
  id: integer("id").primaryKey({ autoIncrement: true }),
  /** The name of the table. */
  source: text("source").notNull(),
  row: text("row", { mode: "json" }).$type<Record<string, unknown>>().notNull(),
  why: text("why").notNull(),
  created: created(),
});

/** Which demo data has been loaded, so that what a person deleted does not come back. */
export const settings = sqliteTable(
  "settings",
  { key: text("key").notNull(), value: text("value").notNull() },
  (table) => [unique().on(table.key)],
);
