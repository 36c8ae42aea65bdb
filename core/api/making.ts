import { z } from "zod";
import { Condition, Pairing, Pattern, Sample, Table, TableNote } from "../batch";
import { Spread } from "../colour";
import { FileId, PictureNote } from "../files";
import { Id } from "../id";
import { LIMITS } from "../piece";

export const ImageFormat = z.enum(["png", "jpeg", "webp", "svg"]);
export type ImageFormat = z.infer<typeof ImageFormat>;

export const BatchRequest = z.object({
  /** Not needed where pictures or looks vary alone. */
  table: Table.optional(),
  pairing: Pairing.default("in-step"),
  /** For pairing “together”: columns that go in step; the groups, and each column in none, are mixed. */
  groups: z
    .array(z.array(z.string().max(200)).max(100))
    .max(100)
    .default([]),
  /** Values that never stand in one variation, by column: the text, a picture's id or name, what is chosen by its id, a spread's place from 1. */
  never: z.array(Condition).max(200).default([]),
  /** All mixes, or so few that every two values of different columns meet. */
  sample: Sample.default("all"),
  /** Laid out together, so that they look alike; else each as large as it can be. */
  alike: z.boolean().default(true),
  pictures: z.object({ slot: z.string().max(80), ids: z.array(FileId).max(500) }).optional(),
  spreads: z.array(Spread).max(100).default([]),
  /** Templates whose arrangements vary, by their ids; of a strip, sets. */
  templates: z.array(z.string().max(80)).max(100).default([]),
  /** Ways of using the kit's typefaces that vary, by their ids. */
  typefaces: z.array(z.string().max(80)).max(20).default([]),
  placements: z.array(Id).max(LIMITS.sizes),
  format: ImageFormat.default("jpeg"),
  scale: z.union([z.literal(1), z.literal(2)]).default(1),
});
export type BatchRequest = z.infer<typeof BatchRequest>;

export const BatchPlan = z.object({
  variations: z.number().int(),
  files: z.number().int(),
  /** About how long it takes, and how much room; from what was made before. */
  seconds: z.number().int(),
  bytes: z.number().int(),
  slots: z.array(z.string()),
  notes: z.array(TableNote),
});
export type BatchPlan = z.infer<typeof BatchPlan>;

/** The life of what is made in the background; `paused` by a person, or until there is room on the disk again. */
export const JobState = z.enum(["queued", "running", "paused", "done", "failed", "cancelled"]);
export type JobState = z.infer<typeof JobState>;

/** How far a job is, and what is to be said of it. */
export const JobFacts = z.object({ state: JobState, message: z.string().optional() });
export type JobFacts = z.infer<typeof JobFacts>;

/** Whether there will be more of it without anybody's doing. */
export const isUnderWay = (state: JobState): boolean =>
  state === "queued" || state === "running" || state === "paused";

export const BatchAnswer = z.object({
  id: z.string(),
  piece: z.string(),
  ...JobFacts.shape,
  started: z.string(),
  pairing: Pairing,
  placements: z.array(z.string()),
  format: ImageFormat,
  scale: z.number(),
  variations: z.number().int(),
  files: z.number().int(),
  made: z.number().int(),
  failed: z.number().int(),
  /** Files whose words did not fit in the layout of the others, and that are laid out by themselves. */
  apart: z.number().int(),
  /** Files that would come out otherwise now: the piece, its kit or a variation has been changed since. */
  outdated: z.number().int(),
  /** Seconds that the rest will take, from the pace so far; absent when not running. */
  secondsLeft: z.number().optional(),
});
export type BatchAnswer = z.infer<typeof BatchAnswer>;
export const BatchList = z.object({ batches: z.array(BatchAnswer) });

export const OutputAnswer = z.object({
  variation: z.number().int(),
  placement: z.string(),
  /** Of a strip: which of its slides, from 0. */
  slide: z.number().int(),
  width: z.number().int(),
  height: z.number().int(),
  bytes: z.number().int(),
  sha256: FileId,
  findings: z.number().int(),
  apart: z.boolean(),
  url: z.string(),
});
export type OutputAnswer = z.infer<typeof OutputAnswer>;

/** Pixels across that a finished file can be had at, small. */
export const THUMBNAIL_WIDTHS: readonly number[] = [160, 320, 640];

export const VariationAnswer = z.object({
  index: z.number().int(),
  name: z.string(),
  /** What tells it from the others, in words by column: texts, names of pictures and of spreads. */
  values: z.record(z.string(), z.string()),
  outputs: z.array(OutputAnswer),
});
export type VariationAnswer = z.infer<typeof VariationAnswer>;
export const VariationList = z.object({
  total: z.number().int(),
  variations: z.array(VariationAnswer),
});

export const DeliveryRequest = z.object({
  /** Placements of the piece itself. */
  sizes: z.array(Id).max(LIMITS.sizes).default([]),
  /** Batches whose finished variations go along; `variations` takes only those of the given numbers. */
  batches: z
    .array(z.object({ id: Id, variations: z.array(z.number().int().min(0)).optional() }))
    .default([]),
  format: ImageFormat.default("png"),
  scale: z.union([z.literal(1), z.literal(2)]).default(1),
  /** What files are called, with parts in braces: of a variation also its columns. A slash makes folders. */
  pattern: Pattern.optional(),
  /** A strip with more slides than a channel shows goes there in parts, each marked on its first slide. */
  parts: z.boolean().default(false),
  /** Bytes that no JPEG or WebP is to have more of, as far as lowering its quality to 60 helps. */
  most: z.number().int().min(10_000).optional(),
});
export type DeliveryRequest = z.infer<typeof DeliveryRequest>;

/** One file of a delivery, as it stands in manifest.json. */
export const ManifestFile = z.object({
  file: z.string(),
  placement: z.string(),
  variation: z.string().optional(),
  /** Of a variation: its values by column. */
  values: z.record(z.string(), z.string()).optional(),
  /** Of a strip: which slide, from 1, in the order in which they are seen. */
  slide: z.number().int().optional(),
  /** Of a strip that goes out in parts: which part, from 1. */
  part: z.number().int().optional(),
  width: z.number().int(),
  height: z.number().int(),
  bytes: z.number().int(),
  sha256: FileId,
  alt: z.string(),
  findings: z.number().int(),
  /** Of JPEG or WebP, where it was lowered to keep to the most bytes; `heavy` where that did not help. */
  quality: z.number().int().optional(),
  heavy: z.literal(true).optional(),
  /** To be said where it is shown: whom its pictures are owed to, and on what terms. */
  credits: z.array(PictureNote).optional(),
  /** The layout report beside it, where one was written. */
  layout: z.string().optional(),
});
export type ManifestFile = z.infer<typeof ManifestFile>;

export const Manifest = z.object({
  format: z.literal("zestcrate/manifest"),
  version: z.literal(1),
  crate: z.string(),
  piece: z.string(),
  brand: z.string(),
  scale: z.number(),
  files: z.array(ManifestFile),
});
export type Manifest = z.infer<typeof Manifest>;

export const DeliveryAnswer = z.object({
  id: z.string(),
  piece: z.string(),
  ...JobFacts.shape,
  made: z.number().int(),
  files: z.number().int(),
  bytes: z.number().int(),
  name: z.string(),
  created: z.string(),
});
export type DeliveryAnswer = z.infer<typeof DeliveryAnswer>;
export const DeliveryList = z.object({ deliveries: z.array(DeliveryAnswer) });

/** What was made of the pieces of a crate, the newest first. */
export const CrateWork = z.object({ ...BatchList.shape, ...DeliveryList.shape });
export type CrateWork = z.infer<typeof CrateWork>;
