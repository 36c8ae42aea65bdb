import type { Brand, Typeface } from "../brand";
import type { Node } from "../piece";
import { DISPLAY_LEADING, PROSE_LEADING } from "../rules";
import { shelfTypeface } from "../shelf";
import { hanLanguage, isProse } from "../text";
import type { Optical, Typesetter, TypeStyle } from "../type";
import { roleStyles } from "./defaults";

/** Bold type from this weight on is made bolder still where it is to stand out. */
const ALREADY_BOLD = 600;
const BOLD = 700;
const BLACK = 900;

/** Between paragraphs, in em, of words that are read as display and as text; half as much between the points of a list. */
const GAPS = { display: 0.3, text: 0.55 } as const;
const POINTS = 0.5;

/** A plate behind words, which a call to action has in any case. */
export const hasPlate = ({ style, role }: Node): boolean =>
  style.plate !== undefined || role === "cta";

/** How the words of a node are set: its own style first, then the typeface's for headlines, then the role's. */
export class WordStyle {
  constructor(
    private readonly node: Node,
    private readonly brand: Brand,
    private readonly typesetter: Typesetter,
    /** BCP 47, as the piece says. */
    private readonly language: string | undefined,
    /** Told of a face that is not the brand's. */
    private readonly onRaw: (face: string) => void,
  ) {}

  /** As the piece says; Chinese characters else tell by themselves whose they are. */
  languageOf(words: string): string {
    return this.language ?? hanLanguage(words) ?? "en";
  }

  of(words: string, weight: number): TypeStyle {
    const { style, role } = this.node;
    const defaults = roleStyles[role];
    const type = style.type ?? defaults.type;
    const typeface = this.typeface(type);
    const house = type === "headline" ? typeface : undefined;
    const asked = style.leading ?? house?.leading ?? defaults.leading;
    const long = isProse(words);
    const leading = long ? Math.max(asked, PROSE_LEADING) : asked;
    const optical = leading < DISPLAY_LEADING ? "display" : "text";
    const language = this.languageOf(words);
    return {
      ...this.faces(typeface, weight, optical, language),
      case: long ? "as-typed" : (style.case ?? defaults.case ?? typeface.case),
      tracking: style.tracking ?? house?.tracking ?? defaults.tracking,
      leading,
      features: style.features ?? [],
      language,
      gaps: this.gaps(optical),
      align: style.align ?? this.usualAlign,
    };
  }

  private faces(typeface: Typeface, weight: number, optical: Optical, language: string) {
    const stronger = weight < ALREADY_BOLD ? BOLD : BLACK;
    return {
      chain: this.typesetter.chain(typeface, weight, optical, language),
      strong: this.typesetter.chain(typeface, stronger, optical, language),
    };
  }

  private gaps(optical: Optical) {
    const paragraph = this.node.style.gap ?? GAPS[optical];
    return { paragraph, item: POINTS * paragraph };
  }

  private get usualAlign() {
    return hasPlate(this.node) && this.node.style.plate?.per !== "line" ? "centre" : "start";
  }

  /** A role of the brand's typefaces, or a family of the shelf by its id, which is not the brand's. */
  private typeface(type: string): Typeface {
    const { headline, text, accent = headline } = this.brand.typefaces;
    const ofRole = { headline, text, accent }[type];
    if (ofRole) return ofRole;
    this.onRaw(type);
    return shelfTypeface(type) ?? text;
  }
}
