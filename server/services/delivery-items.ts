import { altText, type DeliveryRequest, type ManifestFile } from "../../core/api";
import { Namer, valuesOf, variationName } from "../../core/batch";
import type { Brand } from "../../core/brand";
import { knownPlacement, type Piece } from "../../core/piece";
import type { Placement, PlacementLookup } from "../../core/placements";
import { filesFor, slideName, slideOf, slidesFor, type SlideFile } from "../../core/strip";
import type { RenderResult } from "../render/task";
import type { outputs } from "../store/tables";
import { namesFor } from "./batch-request";
import { outputName } from "./batch-runner";
import type { Batches } from "./batches";
import type { Library } from "./library";
import { VariationPieces } from "./variation-pieces";
import type { ServerContext } from "../context";

/** One file to hand over: made anew, or taken from a batch that made it the same way. */
export interface Item {
  piece: Piece;
  brand: Brand;
  placement: Placement;
  variation?: string;
  /** Of a variation: its values by column. */
  values?: Record<string, string>;
  /** Of a strip: which one in its order, in which part, and its part of a name. */
  slide?: Omit<SlideFile, "piece" | "index">;
  ready?: Ready;
  /** How a variation that is not ready stands. */
  standing?: () => ReturnType<VariationPieces["at"]>;
}

export interface Ready {
  path: string;
  result: RenderResult;
}

/** What a delivery hands over, in order: sizes of a piece, and finished variations of batches. */
export class DeliveryItems {
  constructor(
    private readonly context: ServerContext,
    private readonly library: Library,
    private readonly batches: Batches,
  ) {}

  async of(
    piece: Piece,
    brand: Brand,
    request: DeliveryRequest,
    lookup: PlacementLookup,
  ): Promise<Item[]> {
    const own = request.sizes.flatMap((id): Item[] => {
      const placement = knownPlacement(piece, id, lookup);
      return filesFor(piece, placement, request.parts).map(({ piece: of, ...slide }) => ({
        piece: of,
        brand,
        placement,
        slide,
      }));
    });
    return [...own, ...(await this.ofBatches(request, lookup))];
  }

  private async ofBatches(request: DeliveryRequest, lookup: PlacementLookup): Promise<Item[]> {
    const items: Item[] = [];
    for (const chosen of request.batches) {
      const { row, made } = await this.batches.finished(chosen.id);
      const wanted = chosen.variations ? new Set(chosen.variations) : undefined;
      const names = await namesFor(this.library, row);
      const pieces = new VariationPieces(row, this.context.pool);
      const sameForm = row.request.format === request.format && row.request.scale === request.scale;
      for (const output of made) {
        if (wanted && !wanted.has(output.variation)) continue;
        const path = this.context.made.place(outputName(row, output));
        const isLight = output.bytes <= (request.most ?? Infinity);
        const ready = sameForm && isLight && (await this.batches.isThere(row, output));
        const { variation, slide } = output;
        const placement = knownPlacement(row.document, output.placement, lookup);
        const piece = await pieces.piece(variation);
        const slides = slidesFor(piece, placement);
        const at = slides.indexOf(slide);
        items.push({
          piece: slideOf(piece, slide),
          values: valuesOf(row.variations[variation]!, names),
          brand: row.brand,
          placement,
          variation: variationName(variation, row.variations.length),
          ...(slides.length > 1
            ? { slide: { slide: at + 1, name: slideName(at, slides.length) } }
            : {}),
          ...(ready
            ? { ready: { path, result: resultOf(output) } }
            : { standing: () => pieces.at(variation, placement, slide) }),
        });
      }
    }
    return items;
  }
}

/** How a file of a delivery stands in its manifest. */
export function fileOf(
  namer: Namer,
  crate: string,
  { piece, placement: { id: placement }, variation, values, slide }: Item,
  { width, height, bytes, sha256, findings, quality }: Ready["result"],
  { format, most = Infinity }: DeliveryRequest,
): ManifestFile {
  const parts = {
    crate,
    piece: piece.title,
    placement,
    variation: variation ?? "",
    slide: slide?.name ?? "",
    width,
    height,
    values: values ?? {},
  };
  const file = namer.name(parts, format === "jpeg" ? "jpg" : format);
  const which = {
    ...(variation ? { variation } : {}),
    ...(values ? { values } : {}),
    ...(slide?.slide ? { slide: slide.slide } : {}),
    ...(slide?.part ? { part: slide.part } : {}),
  };
  const weight = {
    ...(quality === undefined ? {} : { quality }),
    ...(bytes > most ? { heavy: true as const } : {}),
  };
  const said = { alt: altText(piece), findings, ...weight };
  return { file, placement, ...which, width, height, bytes, sha256, ...said };
}

/** What is known of a file that a batch has made. */
function resultOf(output: typeof outputs.$inferSelect): RenderResult {
  const { batch: _b, variation: _v, placement: _p, slide: _s, measured: _m, ...result } = output;
  return result;
}

/** Files are also called by the columns of the batches that they come from. */
export const namerFor = ({ pattern }: DeliveryRequest, items: readonly Item[]): Namer =>
  new Namer(pattern, [...new Set(items.flatMap(({ values }) => Object.keys(values ?? {})))]);
