import { applyVariation, type Dressing, type Variation } from "../../core/batch";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import { same } from "../../core/same";
import { classesOf, classOf, type Class, type Composition } from "../../core/siblings";
import { shownAt, slideOf } from "../../core/strip";
import type { ComposeTask } from "../render/task";
import type { BatchRow } from "./batch-runner";

type Compose = (task: ComposeTask) => Promise<Composition>;

/** Variations that are arranged, set and worded in one way; only those stand together. */
interface Family {
  /** The batch's piece as they are arranged. */
  document: Piece;
  variations: readonly Variation[];
  slides: Map<number, Piece>;
  classes: Map<string, readonly Class[]>;
  made: Map<string, Promise<Composition>>;
}

/**
 * How the variations of a batch stand together, slide by slide: a composition for each class of them on each placement, made
 * when first asked for.
 */
export class Alike {
  private readonly families = new Map<string, Family>();

  constructor(
    private readonly compose: Compose,
    private readonly row: Pick<BatchRow, "document" | "variations"> & Dressing,
  ) {}

  /** Of a batch that is laid out as a set. */
  static of(row: BatchRow, pool: { composition: Compose }): Alike | undefined {
    const compose: Compose = (task) => pool.composition(task);
    return row.request.alike ? new Alike(compose, row) : undefined;
  }

  /** That of the variations that say about as much on a slide as one does there; undefined where there are none. */
  composition(
    variation: Variation,
    { message }: Piece,
    placement: Placement,
    slide: number,
  ): Promise<Composition> | undefined {
    const family = this.familyOf(variation);
    const classes = this.classesAt(family, placement, slide);
    const of = classOf(message, classes);
    if (!of) return undefined;
    const key = `${slide} ${classes.indexOf(of)} ${placement.id}`;
    const piece = shownAt(slideIn(family, slide), placement);
    const { brand } = this.row;
    let made = family.made.get(key);
    if (!made) family.made.set(key, (made = this.compose({ piece, of, brand, placement })));
    return made;
  }

  /** A slide of one beside the others as the piece has them, so that what does not vary looks the same in all. */
  besideSame(variation: Variation, own: Piece, slide: number): Piece {
    const { headlines } = slideIn(this.familyOf(variation), slide);
    return headlines ? { ...own, headlines } : own;
  }

  private familyOf(variation: Variation): Family {
    const key = looksOf(variation);
    let family = this.families.get(key);
    if (!family) {
      const { document, variations } = this.row;
      const { template, typefaces, language } = variation;
      const looks: Variation = { message: {}, template, typefaces, language };
      family = {
        document: applyVariation(document, looks, this.row),
        variations: variations.filter((one) => looksOf(one) === key),
        slides: new Map(),
        classes: new Map(),
        made: new Map(),
      };
      this.families.set(key, family);
    }
    return family;
  }

  /** The same on all placements that show a slide among the others, and on all that show it alone. */
  private classesAt(family: Family, placement: Placement, slide: number): readonly Class[] {
    const own = slideIn(family, slide);
    const key = `${slide} ${shownAt(own, placement) === own ? "among others" : "alone"}`;
    let classes = family.classes.get(key);
    if (!classes) {
      const seen = family.variations.map((one) =>
        shownAt(slideOf(applyVariation(this.row.document, one, this.row), slide), placement),
      );
      // Where nothing varies there is no set: it stands as it does by itself.
      const [first] = seen;
      const varies = seen.some(
        ({ message, spread }) => !same([message, spread], [first!.message, first!.spread]),
      );
      classes = varies ? classesOf(seen.map(({ message }) => message)) : [];
      family.classes.set(key, classes);
    }
    return classes;
  }
}

const looksOf = ({ template, typefaces, language }: Variation): string =>
  JSON.stringify([template, typefaces, language]);

function slideIn({ document, slides }: Family, index: number): Piece {
  let slide = slides.get(index);
  if (!slide) slides.set(index, (slide = slideOf(document, index)));
  return slide;
}
