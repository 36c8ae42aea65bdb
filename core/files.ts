import { z } from "zod";

/** SHA-256 of a file's bytes, in lower-case hex: its name in the store. */
export const FileId = z.string().regex(/^[0-9a-f]{64}$/, "a file is named by its SHA-256 in hex");
export type FileId = z.infer<typeof FileId>;

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

/** What is known of a stored picture; width and height in its own pixels. */
export const PictureFile = z.object({
  id: FileId,
  name: z.string(),
  mime: z.string(),
  width: z.number().int().positive(),
  height: z.number().int().positive(),
  vector: z.boolean(),
  tones: Tones,
});
export type PictureFile = z.infer<typeof PictureFile>;

export type PictureLookup = (id: FileId) => PictureFile | undefined;
