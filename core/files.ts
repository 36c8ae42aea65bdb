import { z } from "zod";
import { ColourFamily, Hex } from "./colour";

/** SHA-256 of a file's bytes, in lower-case hex: its name in the store. */
export const FileId = z.string().regex(/^[0-9a-f]{64}$/, "a file is named by its SHA-256 in hex");
export type FileId = z.infer<typeof FileId>;

const share = z.number().min(0).max(1);

/**
 * A part of a picture that is kept whole and that nothing lies on, as shares (0..1) of its width and height from its top
 * left corner: a face from brow to chin, or the thing that is shown.
 */
export const Area = z.object({
  kind: z.enum(["face", "thing"]),
  x: share,
  y: share,
  width: share,
  height: share,
  /**
   * How much it is missed: from a half on it is whole or out, below it is rather kept than cut, as of a landscape; 0 where a
   * person said that it does not matter.
   */
  weight: share.default(1),
  /** Where a face looks: −1 to the left of the picture, 0 at the camera, 1 to its right. */
  look: z.number().min(-1).max(1).optional(),
  /** Drawn or chosen by a person. */
  said: z.boolean().optional(),
});
export type Area = z.infer<typeof Area>;

/**
 * A picture seen from far away: its mean relative luminance and how busy it is, cell by cell,
 * row after row. Luminance 0..1 of the untreated picture; `detail` is the standard deviation
 * of the cell's grey values, 0..1.
 */
export const Tones = z.object({
  columns: z.number().int().positive(),
  rows: z.number().int().positive(),
  grey: z.array(z.number()),
  detail: z.array(z.number()),
});
export type Tones = z.infer<typeof Tones>;

/** A part of a picture, in shares (0..1) of its width and height. */
export const Share = z.object({
  x: z.number(),
  y: z.number(),
  width: z.number(),
  height: z.number(),
});
export type Share = z.infer<typeof Share>;

/**
 * What is inked of a drawing that stands on nothing or on a flat ground: its box in shares (0..1) of the picture, and
 * the relative luminances between which most of its ink lies. `ground` is the flat colour that it stands on.
 */
export const Art = z.object({
  x: z.number(),
  y: z.number(),
  width: z.number(),
  height: z.number(),
  dark: z.number(),
  light: z.number(),
  ground: Hex.optional(),
  /** A mark that stands apart from the letters beside or below it, in shares of the picture. */
  mark: Share.optional(),
});
export type Art = z.infer<typeof Art>;

/** What a person says of a picture: what it is called, whom it is owed to, and on what terms it may be shown. */
export const PictureNote = z.object({
  name: z.string().trim().min(1, "a picture needs a name").max(200),
  credit: z.string().trim().max(300).optional(),
  licence: z.string().trim().max(300).optional(),
});
export type PictureNote = z.infer<typeof PictureNote>;

/** What people said of the pictures of a bundle, beside their files. */
export const PictureNotes = z.object({
  format: z.literal("zestcrate/pictures"),
  version: z.literal(1),
  pictures: z.record(FileId, PictureNote),
});
export type PictureNotes = z.infer<typeof PictureNotes>;

/** What is known of a stored picture; width and height in its own pixels. */
export const PictureFile = z.object({
  id: FileId,
  ...PictureNote.shape,
  name: z.string(),
  mime: z.string(),
  width: z.number().int().positive(),
  height: z.number().int().positive(),
  vector: z.boolean(),
  tones: Tones,
  /** Faces, or else where the eye goes first, found by the program; a message may say otherwise. */
  areas: z.array(Area).max(40).optional(),
  /** Faces were looked for, and what was found of them is among the areas. */
  facesSought: z.boolean().optional(),
  /** The flat colour that it stands on all around: it can be shown beyond its edges. */
  ground: Hex.optional(),
  /** The colours that it is found by, the largest first. */
  colours: z.array(ColourFamily).optional(),
  /** Of a drawing, such as a logo; a photograph has none. */
  art: Art.optional(),
});
export type PictureFile = z.infer<typeof PictureFile>;

/** A picture as lists have it: without its tones, which are nine tenths of what is known of it. */
export const ListedPicture = PictureFile.omit({ tones: true });
export type ListedPicture = z.infer<typeof ListedPicture>;

export type PictureLookup<Known = PictureFile> = (id: FileId) => Known | undefined;
