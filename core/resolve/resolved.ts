import type { Brand, Logo, Palette } from "../brand";
import type { Hex, Stop } from "../colour";
import type { ListedPicture, PictureFile } from "../files";
import type { Box } from "../geometry";
import type { Adjust, Subject } from "../picture";
import type { Framing, Piece, Pin, PricePart, Role, Stroke } from "../piece";
import type { Code, ShapeSpec } from "../shape";
import type { Paragraph } from "../type";

/** Lengths in em for text and lead pixels for everything else. */
export interface ResolvedShadow {
  hex: Hex;
  alpha: number;
  x: number;
  y: number;
  blur: number;
}

interface Common {
  id: string;
  role: Role;
  slot?: string;
  part?: PricePart;
  /** It has no place of its own in the composition. */
  unplaced?: boolean;
  /** In lead pixels. */
  box: Box;
  on?: string;
  pin?: Pin;
  group?: string;
  /** On every slide of a strip, or across its folds. */
  strip?: "running" | "across";
  importance: number;
  always: boolean;
  turn: number;
  opacity: number;
  blend?: "multiply" | "screen";
  shadow?: ResolvedShadow;
  /** Set by a local change: where it stands on this size, in shares of the frame's sides. */
  place?: Box;
}

/** Padding and corner in em of the text; without a corner it is the brand's. */
export interface ResolvedPlate {
  hex: Hex;
  /** 0..1; 1 when not given. */
  alpha?: number;
  padding: number;
  corner: Corner | number;
  per: "block" | "line";
}

export interface TextNode extends Common {
  type: "text";
  /** The words as read, without marks. */
  text: string;
  paragraph: Paragraph;
  /** Of a headline: its own and others that are to be equally large. */
  headlines?: readonly Paragraph[];
  /** On how many lines its siblings have it. */
  lines?: number;
  colour: Hex;
  /** Of words marked to stand out in colour, and of the marker stroke behind words. */
  accent: Hex;
  marker: Hex;
  outline?: { hex: Hex; width: number };
  weight: number;
  /** The size it was given at the lead size, in lead pixels. */
  size?: number;
  /** Degrees of a circle that it runs along, where it is one line. */
  arc?: number;
  /** It should not be set smaller, in lead pixels. */
  least?: number;
  /** A person gave it that size on this placement, in its own lead pixels. */
  sizedHere?: boolean;
  valign: "top" | "middle" | "bottom";
  /** Of a list, at the lead size. */
  columns: number;
  plate?: ResolvedPlate;
  /** The face that stands beside the words, in a circle. */
  portrait?: PictureNode;
}

export interface PictureNode extends Common {
  type: "picture";
  file: PictureFile;
  /** What must stay visible. */
  subject: Subject;
  framing: Framing;
  frame?: ShapeSpec;
  adjust: Adjust;
}

export interface LogoNode extends Common {
  type: "logo";
  versions: LogoVersion[];
  /** The brand's name in its headline face, where no version can be had. */
  wordMark: TextNode;
}

export interface LogoVersion {
  logo: Logo;
  file: ListedPicture;
  /** What is inked of the file, in its pixels: air in a file is no part of a logo. */
  art: Box;
}

export interface ResolvedGradient {
  kind: "linear" | "radial";
  angle: number;
  stops: Stop[];
}

/** `stroke` in lead pixels. */
export interface ShapeNode extends Common {
  type: "shape";
  shape: ShapeSpec;
  colour: Hex;
  gradient?: ResolvedGradient;
  stroke?: Omit<Stroke, "colour"> & { hex: Hex };
  /** A picture whose outline is filled with the colour, instead of a drawn shape. */
  emblem?: Omit<LogoVersion, "logo">;
}

/** A drawing on a grid of its own, stroked in one colour. */
export interface IconNode extends Common {
  type: "icon";
  d: string;
  colour: Hex;
}

export interface CodeNode extends Common {
  type: "code";
  code: Code;
  colour: Hex;
  /** What the modules stand on, quiet edge included. */
  ground: Hex;
}

export type Corner = Brand["defaults"]["corner"];
export type ResolvedNode = TextNode | PictureNode | LogoNode | ShapeNode | IconNode | CodeNode;

/** A piece with every token, filling and file looked up; its nodes back to front. */
export interface ResolvedPiece {
  piece: Piece;
  brand: Brand;
  palette: Palette;
  nodes: ResolvedNode[];
  /** Nodes that have nothing to show, with the reason. */
  absent: { id: string; role: Role; why: AbsentReason }[];
  /** Raw colours and typefaces in use, by node. */
  raw: { node: string; what: "colour" | "face"; value: string }[];
}

export type AbsentReason =
  | "empty"
  | "no-area"
  | "hidden"
  | "file-missing"
  | "not-painted-yet"
  | "unknown-icon"
  | "too-long-for-code";
