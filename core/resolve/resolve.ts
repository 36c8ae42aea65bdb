import { paletteOf, resolveColour, type Brand, type Palette } from "../brand";
import type { Hex } from "../colour";
import type { PictureLookup } from "../files";
import { box, type Box } from "../geometry";
import { isPicture, isText, type Focus, type Node, type Piece } from "../piece";
import type { Typesetter, TypeStyle } from "../type";
import { roleStyles } from "./defaults";
import type { AbsentReason, LogoVersion, ResolvedNode, ResolvedPiece } from "./resolved";

export interface Sources {
  pictures: PictureLookup;
  typesetter: Typesetter;
}

/** Half the side of the area around a focus point that counts as the subject, as a share of the picture. */
const FOCUS_REACH = 0.12;

/**
 * Looks up every token, filling and file of a piece as it stands on one placement.
 * A node with nothing to show becomes `absent`; it is never an error.
 */
export function resolve(
  piece: Piece,
  brand: Brand,
  placement: string,
  sources: Sources,
): ResolvedPiece {
  const palette = paletteOf(brand, piece.spread);
  const changes = piece.sizes.find((size) => size.placement === placement)?.changes ?? {};
  const result: ResolvedPiece = { piece, brand, palette, nodes: [], absent: [], raw: [] };
  for (const lead of piece.arrangement) {
    const change = changes[lead.id];
    const node = change ? { ...lead, ...change, style: { ...lead.style, ...change.style } } : lead;
    const one = new OneNode(node, piece, brand, palette, sources, (hex) =>
      result.raw.push({ node: node.id, hex }),
    );
    const resolved = one.resolve();
    if (typeof resolved === "string") {
      result.absent.push({ id: node.id, role: node.role, why: resolved });
    } else {
      if (change?.box) resolved.fixed = change.box;
      result.nodes.push(resolved);
    }
  }
  return result;
}

/** The look-ups of one node, which share its style and the brand. */
class OneNode {
  private readonly defaults;

  constructor(
    private readonly node: Node,
    private readonly piece: Piece,
    private readonly brand: Brand,
    private readonly palette: Palette,
    private readonly sources: Sources,
    private readonly onRaw: (hex: Hex) => void,
  ) {
    this.defaults = roleStyles[node.role];
  }

  resolve(): ResolvedNode | AbsentReason {
    if (this.node.hidden) return "hidden";
    if (this.node.role === "logo") return this.logo();
    switch (this.node.kind) {
      case "text":
        return this.text();
      case "picture":
        return this.picture();
      case "shape":
        return this.shape();
      default:
        return "not-painted-yet";
    }
  }

  private get common() {
    const { id, role, box: at, on, style } = this.node;
    return {
      id,
      role,
      box: at,
      ...(on === undefined ? {} : { on }),
      importance: this.node.importance ?? this.defaults.importance,
      always: this.node.keep === "always",
      turn: style.turn ?? 0,
      opacity: style.opacity ?? 1,
    };
  }

  private colour(token: string): Hex {
    const resolved = resolveColour(token, this.brand, this.palette);
    if (resolved.raw) this.onRaw(resolved.hex);
    return resolved.hex;
  }

  private text(): ResolvedNode | AbsentReason {
    const { style, slot } = this.node;
    const filling = slot ? this.piece.message[slot] : undefined;
    const text = isText(filling) ? filling.text.trim() : this.fromVoice();
    if (!text) return "empty";
    const weight = style.weight ?? this.defaults.weight;
    return {
      ...this.common,
      type: "text",
      text,
      paragraph: this.sources.typesetter.paragraph(text, this.typeStyle(weight)),
      colour: this.colour(style.colour ?? this.defaults.colour),
      weight,
      ...(style.size === undefined ? {} : { size: style.size }),
      align: style.align ?? "left",
      valign: style.valign ?? "top",
      ...this.plate(),
    };
  }

  /** The node's own style first, then the typeface's for headlines, then the role's. */
  private typeStyle(weight: number): TypeStyle {
    const { style } = this.node;
    const type = style.type ?? this.defaults.type;
    const typeface = this.brand.typefaces[type];
    const house = type === "headline" ? typeface : undefined;
    return {
      chain: this.sources.typesetter.chain(typeface, weight),
      case: style.case ?? this.defaults.case ?? typeface.case,
      tracking: style.tracking ?? house?.tracking ?? this.defaults.tracking,
      leading: style.leading ?? house?.leading ?? this.defaults.leading,
    };
  }

  /** A handle or site without a slot of its own is the brand's. */
  private fromVoice(): string {
    if (this.node.role === "handle") return this.brand.voice.handle;
    if (this.node.role === "site") return this.brand.voice.site;
    return "";
  }

  private plate() {
    const plate =
      this.node.style.plate ?? (this.node.role === "cta" ? { colour: "action" } : undefined);
    if (!plate) return {};
    const padding = plate.padding ?? 0.8;
    const corner = this.brand.defaults.corner;
    return { plate: { hex: this.colour(plate.colour), padding, corner } };
  }

  private picture(): ResolvedNode | AbsentReason {
    const filling = this.node.slot ? this.piece.message[this.node.slot] : undefined;
    if (!isPicture(filling)) return "empty";
    const file = this.sources.pictures(filling.picture);
    if (!file) return "file-missing";
    const treatment = this.brand.defaults.treatment;
    return {
      ...this.common,
      type: "picture",
      file,
      focus: focusArea(file, filling.focus),
      treatment,
    };
  }

  private logo(): ResolvedNode | AbsentReason {
    const versions = this.brand.logos.flatMap((logo): LogoVersion[] => {
      const file = this.sources.pictures(logo.file);
      return file ? [{ logo, file }] : [];
    });
    if (versions.length === 0) return this.brand.logos.length > 0 ? "file-missing" : "empty";
    return { ...this.common, type: "logo", versions };
  }

  private shape(): ResolvedNode {
    const { style } = this.node;
    return {
      ...this.common,
      type: "shape",
      shape: style.shape ?? "rectangle",
      colour: this.colour(style.colour ?? this.defaults.colour),
    };
  }
}

function focusArea(
  file: { width: number; height: number },
  focus: Focus = { x: 0.5, y: 0.5 },
): Box {
  const width = (focus.width ?? FOCUS_REACH * 2) * file.width;
  const height = (focus.height ?? FOCUS_REACH * 2) * file.height;
  const clamp = (value: number, most: number) => Math.min(Math.max(0, value), most);
  return box(
    clamp(focus.x * file.width - width / 2, file.width - width),
    clamp(focus.y * file.height - height / 2, file.height - height),
    width,
    height,
  );
}
