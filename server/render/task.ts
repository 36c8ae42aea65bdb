import type { ImageFormat, LogoWish } from "../../core/api";
import type { Looking, Worded } from "../../core/choosing";
import type { Brand } from "../../core/brand";
import type { FileId } from "../../core/files";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import type { Class, Composition } from "../../core/siblings";
import type { SheetAbout } from "../../core/sheet";

/** One picture to make, sent to a worker thread. The image is written by the worker; only numbers come back. */
export interface RenderTask {
  piece: Piece;
  brand: Brand;
  placement: Placement;
  format: ImageFormat;
  scale: number;
  path: string;
  /** How its siblings stand; it stands as they do where it can. */
  alike?: Composition;
  /** A whole file that is there already stays, and only what is known of it is answered. */
  keep?: boolean;
  /** Bytes that it is to have no more of, where lowering the quality helps. */
  most?: number;
}

/** A size of a piece that is to be laid out, and not painted. */
export type RefitTask = Pick<RenderTask, "piece" | "brand" | "placement">;

export interface RenderResult {
  width: number;
  height: number;
  bytes: number;
  sha256: FileId;
  findings: number;
  /** It could not stand as its siblings do. */
  apart: boolean;
  /** Where it was lowered to keep to the most bytes. */
  quality?: number;
}

/** A finished file that is to be measured; it stands as its siblings do where it can. */
export type MeasureTask = Standing & Pick<RenderTask, "path">;

/** How a piece is to stand on a size. */
export type Standing = Pick<RenderTask, "piece" | "brand" | "placement" | "alike">;

/** How pieces of a class stand on a size. */
export interface ComposeTask extends RefitTask {
  of: Class;
}

/** What variations say, and how their finished files look. */
export interface CompareTask {
  words: Worded[];
  looks: Looking[];
}

/** Another version of a stored logo. */
export interface LogoTask {
  id: FileId;
  wanted: LogoWish;
}

/** The slides of a strip at one placement, as a document or side by side as one picture. */
export interface SlidesTask {
  slides: Piece[];
  brand: Brand;
  placement: Placement;
  title: string;
  format: "png" | "pdf";
}

/** Variations of a piece at one placement on one page. */
export interface ContactSheetTask {
  variations: (Pick<RenderTask, "piece" | "alike"> & { name: string })[];
  brand: Brand;
  placement: Placement;
  about: SheetAbout;
  format: "png" | "pdf";
}

/** All sizes of a piece on one page. */
export interface SizeSheetTask {
  piece: Piece;
  brand: Brand;
  placements: Placement[];
  about: SheetAbout;
  format: "png" | "pdf";
}
