import { applyVariation } from "../../core/batch";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import { classesOf, classOf, type Class, type Composition } from "../../core/siblings";
import { isStrip } from "../../core/strip";
import type { ComposeTask } from "../render/task";
import type { BatchRow } from "./batch-runner";

type Compose = (task: ComposeTask) => Promise<Composition>;

/** How the variations of a batch stand together: a composition for each class of them on each placement, made when first asked for. */
export class Alike {
  private readonly classes: readonly Class[];
  private readonly made = new Map<string, Promise<Composition>>();

  constructor(
    private readonly compose: Compose,
    private readonly row: Pick<BatchRow, "document" | "brand" | "variations">,
  ) {
    const { document, variations } = row;
    this.classes = classesOf(variations.map((one) => applyVariation(document, one).message));
  }

  /** Of a batch that is laid out as a set; the slides of a strip are laid out each for itself. */
  static of(row: BatchRow, pool: { composition: Compose }): Alike | undefined {
    const compose: Compose = (task) => pool.composition(task);
    return row.request.alike && !isStrip(row.document) ? new Alike(compose, row) : undefined;
  }

  /** That of the variations that say about as much; undefined where there are none. */
  composition(message: Piece["message"], placement: Placement): Promise<Composition> | undefined {
    const of = classOf(message, this.classes);
    if (!of) return undefined;
    const key = `${this.classes.indexOf(of)} ${placement.id}`;
    const { document: piece, brand } = this.row;
    let made = this.made.get(key);
    if (!made) this.made.set(key, (made = this.compose({ piece, of, brand, placement })));
    return made;
  }
}
