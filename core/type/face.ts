import type { Face as HbFace } from "harfbuzzjs";
import { Buffer, Direction, Feature, Font, MetricsTag, shape, Variation } from "harfbuzzjs";
import type { FeatureValue } from "../text";

export type Axes = Readonly<Record<string, number>>;

/** Ink of a glyph around its origin on the baseline, in em; y grows upwards, `top` is above the baseline. */
export interface GlyphInk {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** A shaped glyph before it is placed; advances and offsets in em. `cluster` is an index into the text. */
export interface ShapedGlyph {
  glyph: number;
  cluster: number;
  advance: number;
  dx: number;
  dy: number;
}

/** One flat layer of a coloured glyph; without a colour it takes the text's. */
export interface GlyphLayer {
  glyph: number;
  colour?: { hex: string; alpha: number };
}

/** A part of a line that is shaped in one go. `from` and `to` are indices into `text`, whose rest is context. */
export interface ShapeRequest {
  text: string;
  from: number;
  to: number;
  direction: "ltr" | "rtl";
  /** ISO 15924, like "Latn". */
  script: string;
  /** BCP 47. */
  language: string;
  features: readonly FeatureValue[];
}

export interface FaceSource {
  /** The file's name in the store. */
  file: string;
  axes: Axes;
}

/** One for all: shaping is done before anything else can ask for it, and making one is slow. */
const buffer = new Buffer();

/** Letters, digits, punctuation and symbols leave a mark; marks that join others may be drawn with them. */
const MARKING = /[\p{L}\p{N}\p{P}\p{S}]/u;
/** Fillers of Hangul and such (Unicode's Default_Ignorable_Code_Point), and the empty cell of Braille. */
const NEVER_MARKING = /[\p{Default_Ignorable_Code_Point}\u2800]/u;
/** A character by itself. */
const ALONE = { from: 0, direction: "ltr", script: "Zyyy", language: "und", features: [] } as const;

/** One font file at one setting of its axes. Everything it tells is in em. */
export class Face {
  readonly unitsPerEm: number;
  readonly capHeight: number;
  /** Where an underline runs below the baseline, and how thick it is. */
  readonly underline: { offset: number; thickness: number };
  /** Its glyphs bring their own colours. */
  readonly coloured: boolean;
  private readonly font: Font;
  private readonly outlines = new Map<number, string>();
  private readonly hollow = new Map<number, boolean>();
  private readonly inks = new Map<number, GlyphInk | null>();

  constructor(
    readonly source: FaceSource,
    private readonly hbFace: HbFace,
    private readonly characters: ReadonlySet<number>,
  ) {
    this.unitsPerEm = hbFace.upem;
    this.coloured = hbFace.hasColorLayers();
    this.font = new Font(hbFace);
    const variations = Object.entries(source.axes).map(([tag, value]) => new Variation(tag, value));
    if (variations.length > 0) this.font.setVariations(variations);
    const cap = this.font.getMetricPosition(MetricsTag.CAP_HEIGHT);
    this.capHeight = (cap ?? this.font.hExtents().ascender * 0.72) / this.unitsPerEm;
    const offset = this.font.getMetricPosition(MetricsTag.UNDERLINE_OFFSET) ?? 0;
    const thickness = this.font.getMetricPosition(MetricsTag.UNDERLINE_SIZE) ?? 0;
    // Fonts without the numbers get common ones: a twentieth of an em, a tenth below the baseline.
    this.underline = {
      offset: offset < 0 ? -offset / this.unitsPerEm : 0.1,
      thickness: thickness > 0 ? thickness / this.unitsPerEm : 0.05,
    };
  }

  /** A character whose glyph has no outline where one should be, as in a damaged font, is not there. */
  has(codePoint: number): boolean {
    if (!this.characters.has(codePoint)) return false;
    let hollow = this.hollow.get(codePoint);
    if (hollow === undefined) this.hollow.set(codePoint, (hollow = this.isHollow(codePoint)));
    return !hollow;
  }

  private isHollow(codePoint: number): boolean {
    const text = String.fromCodePoint(codePoint);
    if (!MARKING.test(text) || NEVER_MARKING.test(text)) return false;
    const glyphs = this.shape({ ...ALONE, text, to: text.length });
    return glyphs.length > 0 && glyphs.every(({ glyph }) => !this.ink(glyph));
  }

  /** Shapes one run of one direction and one script; glyphs come in visual order. */
  shape({ text, from, to, direction, script, language, features }: ShapeRequest): ShapedGlyph[] {
    buffer.reset();
    buffer.addText(text, from, to - from);
    buffer.setDirection(direction === "rtl" ? Direction.RTL : Direction.LTR);
    buffer.setScript(script);
    buffer.setLanguage(language);
    shape(
      this.font,
      buffer,
      features.map(([tag, value]) => new Feature(tag, value)),
    );
    const em = this.unitsPerEm;
    const positions = buffer.getGlyphPositions();
    return buffer.getGlyphInfos().map((info, index) => {
      const position = positions[index]!;
      return {
        glyph: info.codepoint,
        cluster: info.cluster,
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

  /** The flat layers of a coloured glyph (COLR version 0), back to front; none for a plain one. */
  layers(glyph: number): GlyphLayer[] {
    if (!this.coloured) return [];
    const palette = this.hbFace.getColorPalettes()[0]?.colors ?? [];
    return this.hbFace.getGlyphColorLayers(glyph).map((layer) => {
      const colour = layer.colorIndex === undefined ? undefined : palette[layer.colorIndex];
      if (!colour) return { glyph: layer.glyph };
      const hex = [colour.red, colour.green, colour.blue]
        .map((part) => part.toString(16).padStart(2, "0"))
        .join("");
      return { glyph: layer.glyph, colour: { hex: `#${hex}`, alpha: colour.alpha / 255 } };
    });
  }

  /** Undefined for a glyph without ink, such as a space. */
  ink(glyph: number): GlyphInk | undefined {
    let ink = this.inks.get(glyph);
    if (ink === undefined) this.inks.set(glyph, (ink = this.readInk(glyph)));
    return ink ?? undefined;
  }

  private readInk(glyph: number): GlyphInk | null {
    const layers = this.layers(glyph).flatMap((layer) => this.extents(layer.glyph) ?? []);
    if (layers.length === 0) return this.extents(glyph);
    return layers.reduce((a, b) => ({
      left: Math.min(a.left, b.left),
      right: Math.max(a.right, b.right),
      top: Math.max(a.top, b.top),
      bottom: Math.min(a.bottom, b.bottom),
    }));
  }

  private extents(glyph: number): GlyphInk | null {
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
