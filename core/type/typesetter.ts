import type { BrandFace, Typeface } from "../brand";
import { FontFile, type Face } from "./face";
import { advanceWith, Paragraph, type TypeStyle } from "./paragraph";

const MOST_PARAGRAPHS = 1000;
const MOST_ADVANCES = 20_000;

/** What has been measured with one chain of faces. */
interface Kept {
  advances: Map<string, number>;
  paragraphs: Map<string, Paragraph>;
}

/** Holds the fonts that are loaded and the texts that are measured. One for each worker. */
export class Typesetter {
  private readonly files = new Map<string, FontFile>();
  private chains = new WeakMap<Typeface, Map<number, readonly Face[]>>();
  private readonly kept = new WeakMap<readonly Face[], Kept>();

  /** Throws RangeError when the bytes are not a font with characters. */
  addFont(id: string, bytes: Uint8Array): void {
    if (this.files.has(id)) return;
    this.files.set(id, new FontFile(id, bytes));
    this.chains = new WeakMap();
  }

  hasFont(id: string): boolean {
    return this.files.has(id);
  }

  /**
   * The typeface's loaded faces, nearest weight first; ties keep the kit's order.
   * The same typeface and weight answer the same array, by which measured texts are kept.
   */
  chain(typeface: Typeface, weight: number): readonly Face[] {
    let byWeight = this.chains.get(typeface);
    if (!byWeight) this.chains.set(typeface, (byWeight = new Map()));
    let chain = byWeight.get(weight);
    if (!chain) byWeight.set(weight, (chain = this.nearest(typeface, weight)));
    return chain;
  }

  paragraph(text: string, style: TypeStyle): Paragraph {
    let kept = this.kept.get(style.chain);
    if (!kept) this.kept.set(style.chain, (kept = { advances: new Map(), paragraphs: new Map() }));
    const key = `${style.tracking}|${style.leading}|${style.case}|${text}`;
    let paragraph = kept.paragraphs.get(key);
    if (!paragraph) {
      if (kept.paragraphs.size > MOST_PARAGRAPHS) kept.paragraphs.clear();
      if (kept.advances.size > MOST_ADVANCES) kept.advances.clear();
      paragraph = new Paragraph(text, style, advanceWith(style, kept.advances));
      kept.paragraphs.set(key, paragraph);
    }
    return paragraph;
  }

  private nearest(typeface: Typeface, weight: number): Face[] {
    const distance = (face: BrandFace) => Math.abs(face.weight - weight);
    return [...typeface.faces]
      .sort((a, b) => distance(a) - distance(b))
      .flatMap((face) => this.files.get(face.file)?.face(face.axes) ?? []);
  }
}
