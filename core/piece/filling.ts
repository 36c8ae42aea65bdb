import { z } from "zod";
import { Area, FileId } from "../files";
import { LIMITS } from "./limits";

export const SlotName = z
  .string()
  .regex(/^[a-z][a-z0-9-]{0,39}$/, "a slot is named in lower-case letters, digits and hyphens");

const SlotText = z.string().max(LIMITS.text, `a slot holds at most ${LIMITS.text} characters`);

/** What a slot says, and other ways of saying it that are kept for a batch. */
export const Wordings = z.object({
  text: SlotText,
  alternatives: z
    .array(SlotText.min(1))
    .max(LIMITS.alternatives, `a slot keeps at most ${LIMITS.alternatives} alternatives`),
});
export type Wordings = z.infer<typeof Wordings>;

export const TextFilling = z.object({
  text: SlotText,
  alternatives: Wordings.shape.alternatives.optional(),
  varies: z.boolean().optional(),
});
export const PictureFilling = z.object({
  picture: FileId,
  areas: z.array(Area).max(40).optional(),
  alt: z.string().max(1000).optional(),
  varies: z.boolean().optional(),
});
export const Filling = z.union([TextFilling, PictureFilling]);
export type Filling = z.infer<typeof Filling>;
export type TextFilling = z.infer<typeof TextFilling>;
export type PictureFilling = z.infer<typeof PictureFilling>;

export const isText = (filling: Filling | undefined): filling is TextFilling =>
  filling !== undefined && "text" in filling;
export const isPicture = (filling: Filling | undefined): filling is PictureFilling =>
  filling !== undefined && "picture" in filling;
