import {
  Blob,
  Buffer,
  Direction,
  Face as HbFace,
  Font,
  MetricsTag,
  shape,
  Variation,
} from "harfbuzzjs";

export type Axes = Readonly<Record<string, number>>;

/** Ink of a glyph around its origin on the baseline, in em; y grows upwards, `top` is above the baseline. */
export interface GlyphInk {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** A shaped glyph before it is placed; advances and offsets in em. */
export interface ShapedGlyph {
  glyph: number;
  advance: number;
  dx: number;
  dy: number;
}

/** One font file at one setting of its axes. Everything it tells is in em. */
export class Face {
  readonly key: string;
  readonly unitsPerEm: number;
  readonly capHeight: number;
  private readonly font: Font;
  private readonly characters: ReadonlySet<number>;
  private readonly outlines = new Map<number, string>();
  private readonly inks = new Map<number, GlyphInk | null>();

  constructor(key: string, hbFace: HbFace, axes: Axes, characters: ReadonlySet<number>) {
    this.key = key;
    this.unitsPerEm = hbFace.upem;
    this.characters = characters;
    this.font = new Font(hbFace);
    const variations = Object.entries(axes).map(([tag, value]) => new Variation(tag, value));
    if (variations.length > 0) this.font.setVariations(variations);
    const cap = this.font.getMetricPosition(MetricsTag.CAP_HEIGHT);
    this.capHeight = (cap ?? this.font.hExtents().ascender * 0.72) / this.unitsPerEm;
  }

  has(codePoint: number): boolean {
    return this.characters.has(codePoint);
  }

  /** Shapes one run of one direction and one script; glyphs come in visual order. */
  shape(text: string, direction: "ltr" | "rtl"): ShapedGlyph[] {
    const buffer = new Buffer();
    buffer.addText(text);
    buffer.setDirection(direction === "rtl" ? Direction.RTL : Direction.LTR);
    buffer.guessSegmentProperties();
    shape(this.font, buffer);
    const em = this.unitsPerEm;
    const positions = buffer.getGlyphPositions();
    return buffer.getGlyphInfos().map((info, index) => {
      const position = positions[index]!;
      return {
        glyph: info.codepoint,
        advance: position.xAdvance / em,
        dx: position.xOffset / em,
        dy: position.yOffset / em,
      };
    });
  }

  /** The glyph's outline as SVG path data in font units, y upwards. Empty for a space. */
  outline(glyph: number): string {
    let path = this.outlines.get(glyph);
    if (path === undefined) this.outlines.set(glyph, (path = this.font.glyphToPath(glyph)));
    return path;
  }

  /** Undefined for a glyph without ink, such as a space. */
  ink(glyph: number): GlyphInk | undefined {
    let ink = this.inks.get(glyph);
    if (ink === undefined) this.inks.set(glyph, (ink = this.readInk(glyph)));
    return ink ?? undefined;
  }

  private readInk(glyph: number): GlyphInk | null {
    const extents = this.font.glyphExtents(glyph);
    if (!extents || extents.width === 0 || extents.height === 0) return null;
    const em = this.unitsPerEm;
    return {
      left: extents.xBearing / em,
      right: (extents.xBearing + extents.width) / em,
      top: extents.yBearing / em,
      bottom: (extents.yBearing + extents.height) / em,
    };
  }
}

/** A font file, opened once; its faces are made for each setting of the axes that is asked for. */
export class FontFile {
  private readonly hbFace: HbFace;
  private readonly characters: ReadonlySet<number>;
  private readonly faces = new Map<string, Face>();

  constructor(
    private readonly id: string,
    bytes: Uint8Array,
  ) {
    this.hbFace = new HbFace(new Blob(bytes), 0);
    this.characters = new Set(this.hbFace.collectUnicodes());
    if (this.characters.size === 0) throw new RangeError("the font has no characters");
  }

  face(axes: Axes): Face {
    const setting = Object.entries(axes)
      .sort()
      .map(([tag, value]) => `${tag}=${value}`)
      .join(",");
    const key = setting ? `${this.id}:${setting}` : this.id;
    let face = this.faces.get(key);
    if (!face) this.faces.set(key, (face = new Face(key, this.hbFace, axes, this.characters)));
    return face;
  }
}
