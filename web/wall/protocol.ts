import type { Brand } from "../../core/brand";
import type { Offer } from "../../core/offers";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import type { LayoutReport } from "../../core/preflight";
import type { Template } from "../../core/templates";

/** One canvas on screen and what it shows. `pixels` is the width of the canvas in device pixels. */
export interface Tile {
  key: string;
  placement: Placement;
  pixels: number;
}

/** A piece to paint on some tiles, one brand and spread for all of them. */
export interface ShowRequest {
  piece: Piece;
  brand: Brand;
  tiles: Tile[];
  /** Fit the lead to its words first: it is laid out anew where they need that. All tiles show the lead. */
  fitted?: boolean;
}

export interface Painted {
  key: string;
  report: LayoutReport;
  /** The piece with its lead fitted, when that was asked for. */
  fitted?: Piece;
}

/** Pieces of templates in one brand that are to be weighed, each with the placement of its lead. */
export interface OfferRequest {
  brand: Brand;
  wanted: { template: Template; piece: Piece; lead: Placement }[];
}

export interface Offered extends Pick<Offer, "cost" | "ground"> {
  id: string;
}

/** What the painting worker does for the page. */
export interface Painter {
  attach(key: string, canvas: OffscreenCanvas): void;
  detach(key: string): void;
  /** Makes and paints; answers when every tile is painted with what is loaded. */
  show(request: ShowRequest): Promise<Painted[]>;
  /** What templates make of a message, and how well; by the template's id. */
  offer(request: OfferRequest): Promise<Offered[]>;
  /** Answers when every picture that was asked for has come (or failed) and is painted. */
  complete(): Promise<void>;
}
