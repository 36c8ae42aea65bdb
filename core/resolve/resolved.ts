import type { Brand, Logo, Palette, Treatment } from "../brand";
import type { Hex } from "../colour";
import type { PictureFile } from "../files";
import type { Box } from "../geometry";
import type { Piece, Role } from "../piece";
import type { Paragraph } from "../type";

interface Common {
  id: string;
  role: Role;
  /** In lead pixels. */
  box: Box;
  on?: string;
  importance: number;
  always: boolean;
  turn: number;
  opacity: number;
  /** Set by a local change: where it stands on this size, in output pixels. */
  fixed?: Box;
}

export interface TextNode extends Common {
  type: "text";
  text: string;
  paragraph: Paragraph;
  colour: Hex;
  weight: number;
  /** The size it was given at the lead size, in lead pixels. */
  size?: number;
  align: "left" | "centre" | "right";
  valign: "top" | "middle" | "bottom";
  /** Padding in em of the text; `corner` is the brand's. */
  plate?: { hex: Hex; padding: number; corner: Corner };
}

export interface PictureNode extends Common {
  type: "picture";
  file: PictureFile;
  /** What must stay visible, in picture pixels. */
  focus: Box;
  treatment: Treatment;
}

export interface LogoNode extends Common {
  type: "logo";
  versions: LogoVersion[];
}

export interface LogoVersion {
  logo: Logo;
  file: PictureFile;
}

export interface ShapeNode extends Common {
  type: "shape";
  shape: "rectangle" | "ellipse" | "waves";
  colour: Hex;
}

export type Corner = Brand["defaults"]["corner"];
export type ResolvedNode = TextNode | PictureNode | LogoNode | ShapeNode;

/** A piece with every token, filling and file looked up; its nodes back to front. */
export interface ResolvedPiece {
  piece: Piece;
  brand: Brand;
  palette: Palette;
  nodes: ResolvedNode[];
  /** Nodes that have nothing to show, with the reason. */
  absent: { id: string; role: Role; why: AbsentReason }[];
  /** Raw colours in use, by node. */
  raw: { node: string; hex: Hex }[];
}

export type AbsentReason = "empty" | "hidden" | "file-missing" | "not-painted-yet";
