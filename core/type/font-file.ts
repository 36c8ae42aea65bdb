import { Blob, Face as HbFace } from "harfbuzzjs";
import { Face, type Axes } from "./face";

export interface Axis {
  min: number;
  default: number;
  max: number;
}

/** Whether the letters are set large, to be looked at, or small, to be read: for fonts with optical sizes. */
export type Optical = "display" | "text";

/** Optical sizes are in points as set: a headline takes the largest that a font has, up to this one. */
const DISPLAY_POINTS = 144;
const TEXT_POINTS = 14;

/** What a font says about being built into other files: OpenType OS/2 `fsType`, bits 0 to 3. */
export type Embedding = "free" | "editable" | "print-and-preview" | "forbidden";

/** A font file, opened once; its faces are made for each setting of the axes that is asked for. */
export class FontFile {
  readonly axes: Readonly<Record<string, Axis>>;
  readonly embedding: Embedding;
  readonly family: string;
  private readonly hbFace: HbFace;
  private readonly characters: ReadonlySet<number>;
  private readonly faces = new Map<string, Face>();

  /**
   * `bytes` is an OpenType file (TTF, OTF, or a collection of which `index` is taken).
   * Throws RangeError when it has no characters, or none of its letters has an outline.
   */
  constructor(
    private readonly id: string,
    bytes: Uint8Array,
    index = 0,
  ) {
    this.hbFace = new HbFace(new Blob(bytes), index);
    this.characters = new Set(this.hbFace.collectUnicodes());
    if (this.characters.size === 0) throw new RangeError("it has no characters");
    if (this.hbFace.upem === 0 || !this.hasOutlines())
      throw new RangeError("its letters have no outlines");
    this.axes = this.hbFace.getAxisInfos();
    this.embedding = embeddingOf(this.hbFace.referenceTable("OS/2"));
    this.family = this.hbFace.getName(16, "en") || this.hbFace.getName(1, "en");
  }

  has(codePoint: number): boolean {
    return this.characters.has(codePoint);
  }

  get codePoints(): ReadonlySet<number> {
    return this.characters;
  }

  /** Names of the OpenType features it has. */
  get features(): string[] {
    return [...new Set(this.hbFace.getTableFeatureTags("GSUB"))];
  }

  face(axes: Axes): Face {
    const key = Object.entries(axes)
      .sort()
      .map(([tag, value]) => `${tag}=${value}`)
      .join(",");
    let face = this.faces.get(key);
    if (!face) {
      face = new Face({ file: this.id, axes }, this.hbFace, this.characters);
      this.faces.set(key, face);
    }
    return face;
  }

  /** The axes as given; weight and optical size are set as wanted where the font has them and they are open. */
  settle(given: Axes, weight: number, optical: Optical): Axes {
    const settled: Record<string, number> = { ...given };
    const set = (tag: string, value: number): void => {
      const axis = this.axes[tag];
      if (axis && settled[tag] === undefined)
        settled[tag] = Math.min(Math.max(value, axis.min), axis.max);
    };
    set("wght", weight);
    set("opsz", optical === "display" ? DISPLAY_POINTS : TEXT_POINTS);
    return settled;
  }

  private hasOutlines(): boolean {
    const tables = ["glyf", "CFF ", "CFF2", "COLR"];
    return tables.some((tag) => (this.hbFace.referenceTable(tag)?.length ?? 0) > 0);
  }
}

/** How many fonts a file holds: more than one for an OpenType collection ("ttcf"). */
export function fontsIn(bytes: Uint8Array): number {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  return bytes.length >= 12 && view.getUint32(0) === 0x74746366 ? view.getUint32(8) : 1;
}

function embeddingOf(os2: Uint8Array | undefined): Embedding {
  if (!os2 || os2.length < 10) return "free";
  const type = (os2[8]! << 8) | os2[9]!;
  if ((type & 0x000f) === 0) return "free";
  if (type & 0x0008) return "editable";
  return type & 0x0004 ? "print-and-preview" : "forbidden";
}
