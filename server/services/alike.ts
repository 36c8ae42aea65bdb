import { applyVariation } from "../../core/batch";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import { same } from "../../core/same";
import { classesOf, classOf, type Class, type Composition } from "../../core/siblings";
import { shownAt, slideOf } from "../../core/strip";
import type { ComposeTask } from "../render/task";
import type { BatchRow } from "./batch-runner";

type Compose = (task: ComposeTask) => Promise<Composition>;

/**
 * How the variations of a batch stand together, slide by slide: a composition for each class of them on each placement, made
 * when first asked for.
 */
export class Alike {
  private readonly slides = new Map<number, Piece>();
  private readonly classes = new Map<string, readonly Class[]>();
  private readonly made = new Map<string, Promise<Composition>>();

  constructor(
    private readonly compose: Compose,
    private readonly row: Pick<BatchRow, "document" | "brand" | "variations">,
  ) {}

  /** Of a batch that is laid out as a set. */
  static of(row: BatchRow, pool: { composition: Compose }): Alike | undefined {
    const compose: Compose = (task) => pool.composition(task);
    return row.request.alike ? new Alike(compose, row) : undefined;
  }

  /** That of the variations that say about as much on a slide; undefined where there are none. */
  composition(
    message: Piece["message"],
    placement: Placement,
    slide: number,
  ): Promise<Composition> | undefined {
    const piece = shownAt(this.slide(slide), placement);
    const classes = this.classesAt(placement, slide);
    const of = classOf(message, classes);
    if (!of) return undefined;
    const key = `${slide} ${classes.indexOf(of)} ${placement.id}`;
    const { brand } = this.row;
    let made = this.made.get(key);
    if (!made) this.made.set(key, (made = this.compose({ piece, of, brand, placement })));
    return made;
  }

  private slide(index: number): Piece {
    let slide = this.slides.get(index);
    if (!slide) this.slides.set(index, (slide = slideOf(this.row.document, index)));
    return slide;
  }

  /** The same on all placements that show a slide among the others, and on all that show it alone. */
  private classesAt(placement: Placement, slide: number): readonly Class[] {
    const own = this.slide(slide);
    const key = `${slide} ${shownAt(own, placement) === own ? "among others" : "alone"}`;
    let classes = this.classes.get(key);
    if (!classes) {
      const { document, variations } = this.row;
      const seen = variations.map((one) =>
        shownAt(slideOf(applyVariation(document, one), slide), placement),
      );
      // Where nothing varies there is no set: it stands as it does by itself.
      const [first] = seen;
      const varies = seen.some(
        ({ message, spread }) => !same([message, spread], [first!.message, first!.spread]),
      );
      classes = varies ? classesOf(seen.map(({ message }) => message)) : [];
      this.classes.set(key, classes);
    }
    return classes;
  }
}
