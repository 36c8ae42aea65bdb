import { z } from "zod";
import { Id } from "../id";
import { Design, SlotName } from "../piece";
import { shippedPlacement } from "../placements";

/** What a template is for. */
export const Purpose = z.enum([
  "announcement",
  "event",
  "launch",
  "offer",
  "quote",
  "tip",
  "list",
  "before and after",
  "question",
  "statistic",
  "step by step",
  "hiring",
  "thank-you",
  "reminder",
  "testimonial",
  "comparison",
  "opening hours",
  "last chance",
]);
export type Purpose = z.infer<typeof Purpose>;

/** What a template looks like. */
export const LookName = z.enum([
  "typographic",
  "photographic",
  "collage",
  "cut-out",
  "framed",
  "diagonal",
  "big number",
  "newspaper",
  "ticket",
  "label",
  "calendar leaf",
  "pattern",
]);
export type LookName = z.infer<typeof LookName>;

/** The ground that it was drawn for; which of a brand's spreads it starts with. */
export const Mood = z.enum(["dark", "light", "bright"]);
export type Mood = z.infer<typeof Mood>;

/** A design to begin with: made of brand tokens only, so it suits any brand. Its message is a sample. */
export const Template = z.object({
  format: z.literal("zestcrate/template"),
  version: z.literal(1),
  id: Id,
  name: z.string().trim().min(1, "a template needs a name").max(80),
  purposes: z.array(Purpose).min(1),
  looks: z.array(LookName).min(1),
  /** Seasons and occasions, in plain words. */
  occasions: z.array(z.string().max(40)).default([]),
  mood: Mood,
  note: z.string().max(500).optional(),
  /** Slots that keep what the template says, whatever the message is. */
  fixed: z.array(SlotName).default([]),
  design: Design,
});
export type Template = z.infer<typeof Template>;

/** What a template is drawn for, as its name in a list: by its lead size, and for a carousel by what it is. */
export const Format = z.enum(["post", "story", "ad", "cover", "pin", "carousel"]);
export type Format = z.infer<typeof Format>;

/** Taller than this and it is a pin, wider than that and it is a cover. Common practice. */
const PIN = 0.7;
const COVER = 1.85;

export function formatOf({ design }: Pick<Template, "design">): Format {
  if (design.kind !== "post") return design.kind;
  const { width, height } = design.frame ??
    shippedPlacement(design.lead) ?? { width: 1, height: 1 };
  const ratio = width / height;
  return ratio < PIN ? "pin" : ratio > COVER ? "cover" : "post";
}
