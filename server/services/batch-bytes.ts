import { eq, sql, sum } from "drizzle-orm";
import type { ImageFormat } from "../../core/api";
import type { Store } from "../store/database";
import { batches, outputs } from "../store/tables";

/** About what files take, as long as none was made. */
const BYTES_A_MEGAPIXEL: Record<ImageFormat, number> = {
  jpeg: 160_000,
  webp: 90_000,
  png: 650_000,
  svg: 200_000,
};

/** About how large so many megapixels become, by what was made in that format. */
export async function bytesFor(
  store: Store,
  megapixels: number,
  format: ImageFormat,
): Promise<number> {
  const [made] = await store.read
    .select({
      bytes: sum(outputs.bytes),
      pixels: sql<number>`sum(${outputs.width} * ${outputs.height})`,
    })
    .from(outputs)
    .innerJoin(batches, eq(batches.id, outputs.batch))
    .where(eq(sql`json_extract(${batches.request}, '$.format')`, format));
  const each = made?.pixels ? (1e6 * Number(made.bytes)) / made.pixels : BYTES_A_MEGAPIXEL[format];
  return Math.round(megapixels * each);
}
