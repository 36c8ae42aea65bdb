import type { BrandFace, Typeface } from "../brand";
import type { FileId } from "../files";
import type { Face } from "./face";
import { FontFile, fontsIn, type Optical } from "./font-file";
import type { LineText } from "./itemise";
import { baseLanguage, hyphensFor, type Hyphenate } from "./hyphens";
import { Paragraph, type TypeStyle } from "./paragraph";
import { shapeLine } from "./shape";
import { helpingFor } from "../shelf";

const MOST_PARAGRAPHS = 250;
const MOST_ADVANCES = 20_000;

/** What has been measured with one chain of faces. */
interface Measured {
  advances: Map<string, number>;
  paragraphs: Map<string, Paragraph>;
}

/** Holds the fonts that are loaded and the texts that are measured. One for each worker. */
export class Typesetter {
  private readonly files = new Map<string, FontFile>();
  private chains = new WeakMap<Typeface, Map<string, readonly Face[]>>();
  private measured = new WeakMap<readonly Face[], Measured>();
  private readonly hyphens = new Map<string, Hyphenate | undefined>();

  /** `bytes` is an OpenType file or collection, unpacked. Throws RangeError as `FontFile` does. */
  addFont(id: FileId, bytes: Uint8Array): void {
    if (this.files.has(id)) return;
    for (let index = 0; index < fontsIn(bytes); index++) {
      this.files.set(index === 0 ? id : `${id}#${index}`, new FontFile(id, bytes, index));
    }
    this.chains = new WeakMap();
  }

  hasFont(id: FileId): boolean {
    return this.files.has(id);
  }

  font(id: FileId): FontFile | undefined {
    return this.files.get(id);
  }

  /** Whether one of the typeface's own loaded fonts has the character. */
  covers(typeface: Typeface, codePoint: number): boolean {
    return typeface.faces.some(({ file }) => this.files.get(file)?.has(codePoint));
  }

  /**
   * The typeface's loaded faces, nearest weight first (ties keep the kit's order), then those that help
   * out for other scripts. The same wish answers the same array, by which measured texts are found again.
   */
  chain(typeface: Typeface, weight: number, optical: Optical, language = "en"): readonly Face[] {
    let wishes = this.chains.get(typeface);
    if (!wishes) this.chains.set(typeface, (wishes = new Map()));
    const key = `${weight}|${optical}|${language}`;
    let chain = wishes.get(key);
    if (!chain) {
      const helping = helpingFor(language).flatMap(({ faces }) =>
        this.nearest(faces, weight, optical).slice(0, 1),
      );
      chain = [...this.nearest(typeface.faces, weight, optical), ...helping];
      wishes.set(key, chain);
    }
    return chain;
  }

  /** Learns how words of a language are parted, for texts that are measured from now on. */
  async learnHyphens(language: string): Promise<void> {
    const base = baseLanguage(language);
    if (this.hyphens.has(base)) return;
    const hyphenate = await hyphensFor(language);
    if (this.hyphens.has(base)) return;
    this.hyphens.set(base, hyphenate);
    if (hyphenate) this.measured = new WeakMap();
  }

  paragraph(text: string, asked: TypeStyle): Paragraph {
    const style = { ...asked, hyphenate: this.hyphens.get(baseLanguage(asked.language)) };
    let measured = this.measured.get(style.chain);
    if (!measured)
      this.measured.set(style.chain, (measured = { advances: new Map(), paragraphs: new Map() }));
    const { tracking, leading, align, language, features, gaps } = style;
    const setting = [
      tracking,
      leading,
      align,
      language,
      features.join(),
      gaps.paragraph,
      gaps.item,
    ];
    const key = `${setting.join("|")}|${style.case}|${text}`;
    let paragraph = measured.paragraphs.get(key);
    if (!paragraph) {
      if (measured.paragraphs.size > MOST_PARAGRAPHS) measured.paragraphs.clear();
      if (measured.advances.size > MOST_ADVANCES) measured.advances.clear();
      paragraph = new Paragraph(text, style, advanceWith(style, measured.advances));
      measured.paragraphs.set(key, paragraph);
    }
    return paragraph;
  }

  private nearest(
    faces: readonly (Pick<BrandFace, "file" | "weight"> & Partial<BrandFace>)[],
    weight: number,
    optical: Optical,
  ): Face[] {
    const distance = (face: { weight: number }) => Math.abs(face.weight - weight);
    return [...faces]
      .sort((a, b) => distance(a) - distance(b))
      .flatMap(({ file, index = 0, axes = {} }) => {
        const font = this.files.get(index === 0 ? file : `${file}#${index}`);
        return font ? [font.face(font.settle(axes, weight, optical))] : [];
      });
  }
}

/** What beside its letters makes a word wider or narrower: bold parts, and its direction. */
function looksOf({ emphases, levels }: LineText): string {
  const strong = emphases.filter(({ kind }) => kind === "strong");
  return `${strong.map(({ from, to }) => `${from}-${to}`).join()}|${levels?.[0] ?? 0}`;
}

/** Measures words with the given style; a word's advance is kept, since typing repeats most of them. */
function advanceWith(style: TypeStyle, known: Map<string, number>): (word: LineText) => number {
  const setting = `${style.tracking}|${style.language}|${style.features.join()}`;
  return (word) => {
    const plain = word.emphases.length === 0 && !word.levels;
    const key = `${setting}|${plain ? "" : looksOf(word)}|${word.text}`;
    let advance = known.get(key);
    if (advance === undefined) {
      advance = shapeLine(word, style).advance + (word.text ? style.tracking : 0);
      known.set(key, advance);
    }
    return advance;
  };
}
