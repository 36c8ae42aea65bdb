import { area, bottom, inset, intersect, right, type Box } from "../../geometry";
import { RULING_SLOTS } from "../../message";
import {
  clearArea,
  cssPerPixel,
  frameOf,
  keptArea,
  roomOf,
  type Room,
  legibilityFloor,
  safeArea,
  type Placement,
} from "../../placements";
import type { Hex } from "../../colour";
import { EASY_TEXT } from "../../rules";
import type { ResolvedPiece, TextNode } from "../../resolve";
import type { Placed } from "../layout";
import { composedFrame } from "../../piece";
import { nodesOf, type Parts } from "./parts";
import { partsOf } from "./read-parts";

/** Text that was composed larger than usual stays so, up to this many times the usual size. */
const MOST_TEXT = 2.2;
/** Where words are all there is, text this many times the usual size is better than empty ground. By eye. */
export const TEXT_ALONE = 1.6;
/** As a share of the frame's short side. */
const AIR = 0.11;
/** Of the width that a headline has, so much more is worth having for other words. */
const MUCH_MORE = 0.15;
const CLEARLY_LARGER = 1.25;
const MOST_EMPHASIS = 2.4;

/** How words are set on a stage. */
export interface Manner {
  /** Everything as close and as small as can be read, where more cannot be had otherwise. */
  tight: boolean;
  /** In how many columns the points of a list stand. */
  listColumns: number;
  /** Nothing but what rules is larger than the text. */
  plain: boolean;
  /** Where the words stay that are pinned to edges, and what they leave; they are laid out with the rest when not given. */
  pinned?: PinnedPlaces;
  /** Of pinned words only those that run through a strip keep their edges; the others are laid out with the rest. */
  loose: boolean;
}

/** Words that stay at an edge of the frame, and the room beside them. */
export interface PinnedPlaces {
  placed: Placed[];
  kept: Box;
}

const AS_USUAL: Manner = { tight: false, listColumns: 1, plain: false, loose: false };

/** One placement to lay out for, with the lengths that everything on it is measured by, in output pixels. */
export class Stage {
  readonly frame: Box;
  readonly safe: Box;
  /** What is seen everywhere: neither covered by the channel nor outside of a crop that is one of its looks. */
  readonly clear: Box;
  /** Where headline and logo survive every crop. Text stands here too, so that edges stay shared. */
  readonly kept: Box;
  /** Where a badge may stand. */
  readonly badgeArea: Box;
  readonly floor: number;
  /** Geometric mean of the sides: how large the frame is, whatever its shape. */
  readonly extent: number;
  /** The size of running text, from which gaps are taken (½, 1, 2 and 4 times). */
  readonly unit: number;
  /** A size that is read with ease. */
  private readonly easy: number;
  /** The least size that is read with ease; smaller ones only where there is no room. */
  readonly least: number;
  readonly css: number;
  /** The frame that the piece was composed for. */
  readonly lead: Box;
  /** Output pixels for each lead pixel: the geometric means of the two frames. */
  readonly leadScale: number;
  readonly parts: Parts;
  /** The smallest size among the details at the lead size, in lead pixels. */
  private readonly runningSize: number;
  /** The edge that the words share: 0 left, ½ none but a middle, 1 right. */
  readonly align: number;
  /** What the words stand on where no picture is behind them. */
  readonly ground: Hex;

  /** What it has room for as it is viewed. */
  readonly room: Room;

  readonly tight: boolean;
  readonly listColumns: number;
  private readonly plain: boolean;
  /** What stays at an edge, whatever the rest does. */
  readonly pinned: readonly Placed[];

  constructor(
    readonly resolved: ResolvedPiece,
    readonly placement: Placement,
    private readonly manner: Partial<Manner> = {},
  ) {
    const { tight, listColumns, plain, pinned, loose } = { ...AS_USUAL, ...manner };
    this.tight = tight;
    this.listColumns = listColumns;
    this.plain = plain || tight;
    this.frame = frameOf(placement);
    this.safe = safeArea(placement);
    this.clear = clearArea(placement);
    const kept = intersect(keptArea(placement, "headline"), keptArea(placement, "logo"));
    this.kept = pinned?.kept ?? (area(kept) > 0 ? kept : this.safe);
    this.pinned = pinned?.placed ?? [];
    this.badgeArea = intersect(keptArea(placement, "badge"), keptArea(placement, "price"));
    this.floor = legibilityFloor(placement);
    this.extent = Math.sqrt(area(this.frame));
    this.css = cssPerPixel(placement);
    this.parts = partsOf(resolved, pinned && !loose ? "pinned" : "all");
    this.runningSize = Math.min(...composedSizes(this.parts), Infinity);
    this.align = this.parts.headline?.paragraph.alignShare ?? 0;
    this.ground = this.parts.plate?.colour ?? resolved.palette.backdrop;
    this.lead = composedFrame(resolved.piece) ?? this.frame;
    this.leadScale = this.extent / Math.sqrt(area(this.lead));
    this.room = roomOf(placement);
    // Text grows slower than the frame: a poster is read from further away, a banner from near.
    this.least = Math.max(EASY_TEXT / this.css, this.floor);
    this.easy = Math.max(this.least, 0.022 * this.extent + 5);
    this.unit = tight ? this.floor : this.easy;
  }

  /** Too small for a message: little fits, whatever is done. */
  get isSmall(): boolean {
    return this.room === "little";
  }

  /** The same placement with its words set otherwise. */
  set(manner: Partial<Manner>): Stage {
    return new Stage(this.resolved, this.placement, { ...this.manner, ...manner });
  }

  private readonly made = new WeakMap<object, { by: readonly number[]; result: unknown }[]>();

  /** What is made of the same thing with the same measures is made once for all drafts of this placement. */
  once<T>(of: object, by: readonly number[], make: () => T): T {
    let list = this.made.get(of);
    if (!list) this.made.set(of, (list = []));
    const known = list.find((one) => sameMeasures(one.by, by));
    if (known) return known.result as T;
    const result = make();
    list.push({ by, result });
    return result;
  }

  /**
   * How much larger than the running text something was composed that is neither headline nor running text,
   * like a second headline or a price; 1 for running text, and where there is no room for it.
   */
  emphasis({ size, role }: { size?: number; role: string }): number {
    if (this.plain || role === "kicker" || size === undefined) return 1;
    const times = size / this.runningSize;
    return times > CLEARLY_LARGER ? Math.min(times, MOST_EMPHASIS) : 1;
  }

  /** A size that is a little smaller than the text's, as far as it is still read with ease where that is. */
  smaller(size: number, share: number): number {
    return Math.max(share * size, Math.min(size, this.least));
  }

  /** Something beside the headline is called out. */
  get callsOut(): boolean {
    const { details } = this.parts;
    return details.some((item) => item.type === "text" && this.emphasis(item) > 1);
  }

  /** The size that running text was composed at, as far as it is clearly larger than usual; else the usual size. */
  get composedText(): number {
    const { runningSize, leadScale, unit } = this;
    const composed = Number.isFinite(runningSize) ? runningSize * leadScale : 0;
    return composed > CLEARLY_LARGER * unit ? Math.min(composed, MOST_TEXT * unit) : unit;
  }

  /**
   * Sizes of running text to try: the usual one, the composed one where it is clearly larger, or the least; and the one that
   * a person wants at the least.
   */
  get textSizes(): number[] {
    const { composedText: composed, unit, easy } = this;
    const usual = this.tight ? [easy, unit] : composed > unit ? [composed, unit] : [unit];
    const wanted = this.wantedText;
    return wanted > usual[0]! ? [wanted, ...usual] : usual;
  }

  /** The largest size that running text should have at the least; 0 where nobody asked for one. */
  private get wantedText(): number {
    const { details, cta, sender } = this.parts;
    const words = [...details.flatMap(nodesOf), ...sender, ...(cta ? [cta] : [])];
    return (
      this.leadScale * Math.max(0, ...words.map((node) => ("least" in node && node.least) || 0))
    );
  }

  /** What the words of a node should have at the least: the legibility floor, or more where a person wants more. */
  leastOf({ least = 0 }: Pick<TextNode, "least">): number {
    return Math.max(this.floor, least * this.leadScale);
  }

  /** Sizes to try where words are all there is: they need not stay as small as beside a picture. */
  sizesAlone(size: number): number[] {
    const larger = this.tight || size > this.unit ? [] : [TEXT_ALONE * size, 1.25 * size];
    return [...larger, size];
  }

  /** Where words stand that fill the frame alone: in a strip they need more air than its thin margin gives. */
  get field(): Box {
    // On slides the words share the edges of what runs through all of them.
    if (this.pinned.some(({ node }) => node.strip)) return this.kept;
    const air = AIR * Math.min(this.frame.width, this.frame.height);
    return intersect(this.kept, inset(this.frame, air));
  }

  /**
   * Where words may stand beside a headline that a crop keeps further in, from the headline's own edge on; undefined where
   * that is no more room, or where the logo must stay inside too. It is `headWidth` that the headline has of it.
   */
  get beyond(): { region: Box; headWidth: number } | undefined {
    const { placement, field, parts } = this;
    // Two that rule stand together.
    if (parts.details.some((item) => "role" in item && RULING_SLOTS.includes(item.role)))
      return undefined;
    const to = right(keptArea(placement, "support"));
    const logo = keptArea(placement, "logo");
    const more = to - right(field);
    if (more < MUCH_MORE * field.width || right(logo) < to) return undefined;
    return { region: { ...field, width: field.width + more }, headWidth: field.width };
  }

  /** Its headline is as large as others of a set. */
  get isOfSet(): boolean {
    return this.parts.headline?.headlines !== undefined;
  }

  /** Width over height of the part that can be used. */
  get ratio(): number {
    return this.kept.width / this.kept.height;
  }

  /** Bands in such a frame leave only slits; columns suit it better. By eye. */
  get isWide(): boolean {
    return this.ratio > 1.45;
  }

  /** Between a picture's edge and words: two units, but no more than a little over the margin. */
  get padding(): number {
    return Math.min(2 * this.unit, Math.max(1.3 * this.placement.margin, this.unit));
  }

  /** The margins that the words keep on the right, seen from the frame. */
  get rightEdge(): number {
    return right(this.kept);
  }

  get bottomEdge(): number {
    return bottom(this.kept);
  }
}

const composedSizes = ({ details }: Parts): number[] =>
  details
    .flatMap(nodesOf)
    .flatMap((node) => (node.type === "text" && node.size ? [node.size] : []));

/** A loop of its own, since this is asked for many times in every draft. */
function sameMeasures(a: readonly number[], b: readonly number[]): boolean {
  for (let i = 0; i < b.length; i++) if (a[i] !== b[i]) return false;
  return true;
}
