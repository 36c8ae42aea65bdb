import { defaultSpread, type Brand, type Palette } from "../brand";
import { contrast, luminance, type Hex } from "../colour";
import { priceParts, RULING_SLOTS } from "../message";
import { subjectOf } from "../picture";
import {
  composedFrame,
  Framing,
  isPicture,
  isText,
  type Node,
  type Piece,
  type Style,
} from "../piece";
import { iconPath, codeFor } from "../shape";
import { withQuotes, plainText } from "../text";
import { roleStyles } from "./defaults";
import { versionsOf, emblemOf, emblemColour } from "./logos";
import type { Sources } from "./resolve";
import type { ResolvedNode, AbsentReason, PictureNode, TextNode } from "./resolved";
import { StyleReader } from "./style-reader";
import { fromVoice, signature } from "./voice";
import { hasPlate, WordStyle } from "./word-style";

const SLIDE_HEADLINE = 80 / 1080;
const SLIDE_TEXT = 36 / 1080;

/** For codes in brands without a dark colour. */
const BLACK_INK: Hex = "#000000";
/** A code stands on white unless its style says otherwise: any camera reads that. */
const WHITE: Hex = "#FFFFFF";

/** The look-ups of one node, which share its style and the brand. */
export class OneNode {
  private readonly defaults;
  private readonly style: StyleReader;
  private readonly wordStyle: WordStyle;

  constructor(
    private readonly node: Node,
    private readonly piece: Piece,
    private readonly brand: Brand,
    private readonly palette: Palette,
    private readonly sources: Sources,
    private readonly onRaw: (what: "colour" | "face", value: string) => void,
  ) {
    this.defaults = roleStyles[node.role];
    this.style = new StyleReader(node.style, brand, palette, (hex) => onRaw("colour", hex));
    const { typesetter } = sources;
    const onFace = (face: string) => onRaw("face", face);
    this.wordStyle = new WordStyle(node, brand, typesetter, piece.language, onFace);
  }

  resolve(): ResolvedNode | AbsentReason {
    if (this.node.hidden) return "hidden";
    if (this.node.box.width <= 0 || this.node.box.height <= 0) return "no-area";
    if (this.node.role === "logo") return this.logo();
    switch (this.node.kind) {
      case "text":
        return this.text();
      case "picture":
        return this.picture();
      case "shape":
        return this.shape(this.node.style.shape ?? "rectangle");
      case "line":
        return this.shape("line");
      case "icon":
        return this.icon();
      case "code":
        return this.code();
      case "chart":
        return "not-painted-yet";
    }
  }

  private get common() {
    const { id, role, slot, part, unplaced, box: at, on, pin, group, strip, style } = this.node;
    const { blend = "normal" } = style;
    const { shadow } = this.style;
    return {
      id,
      role,
      box: at,
      ...(slot === undefined ? {} : { slot }),
      ...(part === undefined ? {} : { part }),
      ...(unplaced ? { unplaced } : {}),
      ...(on === undefined ? {} : { on }),
      ...(pin ? { pin } : {}),
      ...(group === undefined ? {} : { group }),
      ...(strip ? { strip } : {}),
      importance: this.node.importance ?? this.defaults.importance,
      always: this.node.keep === "always",
      turn: style.turn ?? 0,
      opacity: style.opacity ?? 1,
      ...(blend === "normal" ? {} : { blend }),
      ...(shadow ? { shadow } : {}),
    };
  }

  private get ownColour() {
    return this.style.colour(this.node.style.colour ?? this.defaults.colour);
  }

  private get words(): string {
    const filling = this.node.slot ? this.piece.message[this.node.slot] : undefined;
    const own = isText(filling) ? filling.text.trim() : undefined;
    const { role } = this.node;
    const typed =
      role === "portrait" ? signature(this.brand, own) : (own ?? fromVoice(role, this.brand));
    const words = withQuotes(typed, this.wordStyle.languageOf(typed));
    return this.node.part === undefined ? words : priceParts(words)[this.node.part];
  }

  private text(): ResolvedNode | AbsentReason {
    return this.words ? this.setText(this.words) : "empty";
  }

  private setText(typed: string): TextNode {
    const { style } = this.node;
    const weight = style.weight ?? this.defaults.weight;
    const colour = this.ownColour;
    const { outline } = style;
    return {
      ...this.common,
      type: "text",
      text: plainText(typed),
      paragraph: this.sources.typesetter.paragraph(typed, this.wordStyle.of(this.words, weight)),
      ...this.headlines(weight),
      ...this.lines,
      colour,
      accent: this.style.accent(colour),
      marker: this.style.marker(colour),
      ...(outline
        ? { outline: { hex: this.style.colour(outline.colour), width: outline.width } }
        : {}),
      weight,
      ...(style.size === undefined ? {} : { size: style.size }),
      ...(style.arc ? { arc: style.arc } : {}),
      ...this.least,
      valign: style.valign ?? "top",
      columns: style.columns ?? 1,
      ...this.plate(),
      ...this.portrait,
    };
  }

  private headlines(weight: number): Pick<TextNode, "headlines"> {
    const { headlines = [] } = this.piece;
    if (this.node.slot !== "headline" || headlines.length === 0) return {};
    const style = this.wordStyle.of(this.words, weight);
    return { headlines: headlines.map((typed) => this.sources.typesetter.paragraph(typed, style)) };
  }

  private get lines(): Pick<TextNode, "lines"> {
    const lines = this.piece.lines?.[this.node.id];
    return lines === undefined ? {} : { lines };
  }

  /** Slides are read on a phone, one after another: their words are never small. Common practice, at 1080 pixels across. */
  private get least(): { least?: number } {
    const { style, role, strip } = this.node;
    const frame = this.piece.kind === "carousel" ? composedFrame(this.piece) : undefined;
    const share = RULING_SLOTS.includes(role)
      ? SLIDE_HEADLINE
      : strip === "running"
        ? 0
        : SLIDE_TEXT;
    const least = style.least ?? (frame && share * Math.min(frame.width, frame.height));
    return least === undefined ? {} : { least };
  }

  /** The profile picture of the kit, if it has one. */
  private get portrait(): { portrait?: PictureNode } {
    const { brand, sources } = this;
    const file = brand.portrait === undefined ? undefined : sources.pictures(brand.portrait);
    if (this.node.role !== "portrait" || !file) return {};
    const { slot: _words, pin: _pin, ...common } = this.common;
    const portrait: PictureNode = {
      ...common,
      type: "picture",
      file,
      subject: subjectOf(file, file.areas),
      framing: AS_IT_IS,
      frame: this.style.shapeSpec("ellipse"),
      adjust: {},
    };
    return { portrait };
  }

  private plate() {
    if (!hasPlate(this.node)) return {};
    const {
      colour,
      opacity = 1,
      padding,
      corner,
      per = "block",
    }: NonNullable<Style["plate"]> = this.node.style.plate ?? { colour: "action" };
    return {
      plate: {
        hex: this.style.colour(colour),
        ...(opacity < 1 ? { alpha: opacity } : {}),
        padding: padding ?? (per === "line" ? 0.22 : 0.8),
        corner: corner ?? this.brand.defaults.corner,
        per,
      },
    };
  }

  private picture(): ResolvedNode | AbsentReason {
    const filling = this.node.slot ? this.piece.message[this.node.slot] : undefined;
    if (!isPicture(filling)) return "empty";
    const file = this.sources.pictures(filling.picture);
    if (!file) return "file-missing";
    const { frame, framing } = this.node.style;
    return {
      ...this.common,
      type: "picture",
      file,
      subject: subjectOf(file, filling.areas ?? file.areas),
      framing: framing ?? AS_IT_IS,
      ...(frame ? { frame: this.style.shapeSpec(frame) } : {}),
      adjust: this.style.adjust(),
    };
  }

  private logo(): ResolvedNode | AbsentReason {
    const versions = versionsOf(this.brand, this.sources.pictures);
    if (versions.length === 0 && this.brand.logos.length > 0) return "file-missing";
    return { ...this.common, type: "logo", versions, wordMark: this.wordMark };
  }

  private get wordMark(): TextNode {
    const style = { ...WORD_MARK, ...this.node.style };
    const { plate: _plate, size: _size, ...plain } = style;
    const node = { ...this.node, style: plain };
    const { piece, brand, palette, sources, onRaw } = this;
    return new OneNode(node, piece, brand, palette, sources, onRaw).setText(brand.name);
  }

  /** The brand's mark in a tint of the ground. */
  private emblem(): ResolvedNode | AbsentReason {
    const emblem = emblemOf(this.brand, this.sources.pictures);
    const { backdrop } = { ...defaultSpread(this.brand), ...this.piece.spread };
    const colour = emblemColour(this.brand, backdrop, this.palette);
    if (!colour) return "empty";
    const shape = this.style.shapeSpec("emblem");
    return { ...this.common, type: "shape", shape, colour, ...(emblem ? { emblem } : {}) };
  }

  private shape(kind: Parameters<StyleReader["shapeSpec"]>[0]): ResolvedNode | AbsentReason {
    const { gradient, stroke } = this.style;
    if (kind === "emblem") return this.emblem();
    return {
      ...this.common,
      type: "shape",
      shape: this.style.shapeSpec(kind),
      colour: this.ownColour,
      ...(gradient ? { gradient } : {}),
      ...(stroke ? { stroke } : {}),
    };
  }

  private icon(): ResolvedNode | AbsentReason {
    const icon = this.sources.icons(this.node.style.icon ?? "");
    return icon
      ? { ...this.common, type: "icon", d: iconPath(icon), colour: this.ownColour }
      : "unknown-icon";
  }

  /** Its own colour if a camera can tell it from the ground, else the darkest of the spread. */
  private inkOn(ground: Hex): Hex {
    const dark = (hex: Hex) => luminance(ground) > luminance(hex) && contrast(hex, ground) >= 4.5;
    const own = this.ownColour;
    const hexes = Object.values(this.palette);
    const darkest = hexes.reduce((a, b) => (luminance(b) < luminance(a) ? b : a));
    return dark(own) ? own : dark(darkest) ? darkest : BLACK_INK;
  }

  /** What a code says is a slot's words; without a slot it leads to the brand's site. */
  private code(): ResolvedNode | AbsentReason {
    const text = this.words || this.brand.voice.site;
    if (!text) return "empty";
    const code = codeFor(text);
    if (!code) return "too-long-for-code";
    const { plate } = this.node.style;
    const ground = plate ? this.style.colour(plate.colour) : WHITE;
    return { ...this.common, type: "code", code, colour: this.inkOn(ground), ground };
  }
}

const AS_IT_IS = Framing.parse({});

/** A name that stands for a logo is set like one. */
const WORD_MARK = { type: "headline", weight: 700, colour: "headline", leading: 1 } as const;
