import { z } from "zod";
import { Id } from "../id";

/** One campaign's container. Its pieces are listed by id, in order. */
export const Crate = z.object({
  format: z.literal("zestcrate/crate"),
  version: z.literal(1),
  id: Id,
  name: z.string().min(1).max(120),
  brand: Id,
  pieces: z.array(Id),
});
export type Crate = z.infer<typeof Crate>;
