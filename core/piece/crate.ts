import { z } from "zod";

/** One campaign's container. Its pieces are listed by id, in order. */
export const Crate = z.object({
  format: z.literal("zestcrate/crate"),
  version: z.literal(1),
  id: z.string().min(1),
  name: z.string().min(1).max(120),
  brand: z.string().min(1),
  pieces: z.array(z.string()),
});
export type Crate = z.infer<typeof Crate>;
