import { tryOnScopeDispose } from "@vueuse/core";
import { nextTick, shallowRef, watch, type ShallowRef } from "vue";
import type { Brand } from "../../core/brand";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import type { LayoutReport } from "../../core/preflight";
import type { ShowRequest, Painted, Tile } from "./protocol";
import { complete, show, startPainters } from "./painter";
import { ShowQueue, type Turn } from "./show-queue";

interface WallOptions {
  piece: () => Piece | undefined;
  brand: () => Brand | undefined;
  /** Sizes to report on also where they have no tile. */
  reportsOn?: () => readonly Placement[];
  /** Whether it is painted ahead of others or behind them. */
  turn?: () => Turn | undefined;
  /** Have the lead fitted to its words first; called with the piece as it then is. */
  onFitted?: (piece: Piece) => void;
}

const NONE: readonly Placement[] = [];

export interface Wall {
  /** How each placement came out, by placement. */
  reports: ShallowRef<ReadonlyMap<string, LayoutReport>>;
  /** True from a change until all its sizes are on screen with their pictures. */
  busy: ShallowRef<boolean>;
  add(tile: Tile): void;
  remove(key: string): void;
}

/** Whether all parts are the same ones; how a piece was laid out when last seen is what is on the screen. */
function isSeenAs<T extends object>(now: T | undefined, was: T | undefined): boolean {
  if (!now || !was) return now === was;
  const parts = Object.keys({ ...now, ...was }) as (keyof T)[];
  return parts.every((part) => part === "shown" || now[part] === was[part]);
}

/** Keeps a set of tiles painted with one piece, whatever of it changes. Ends with its scope. */
export function useWall({
  piece,
  brand,
  reportsOn = () => NONE,
  turn = () => undefined,
  onFitted,
}: WallOptions): Wall {
  const tiles = new Map<string, Tile>();
  const reports = shallowRef<ReadonlyMap<string, LayoutReport>>(new Map());
  const busy = shallowRef(true);
  let asked = 0;
  let waiting = false;

  startPainters();
  const queue = new ShowQueue({
    show,
    complete,
    turn,
    onShown,
    onComplete: () => (busy.value = false),
  });

  function onShown(shown: Painted[], request: ShowRequest): void {
    const next = new Map(reports.value);
    for (const { report, fitted } of shown) {
      next.set(report.placement, report);
      if (fitted) onFitted?.(fitted);
    }
    const current = new Set(request.piece.sizes.map((size) => size.placement));
    reports.value = new Map(
      [...next].filter(([id]) => current.has(id) || id === request.piece.lead),
    );
    // Seen in the browser's performance panel, and read by the bench.
    performance.measure("wall painted", { start: asked });
  }

  function repaint(): void {
    const [now, kit] = [piece(), brand()];
    if (!now || !kit) return;
    const all = [...tiles.values(), ...unseen()];
    if (all.length === 0) return;
    busy.value = true;
    queue.show({ piece: now, brand: kit, tiles: all, ...(onFitted ? { fitted: true } : {}) });
  }

  /** Sizes without a tile are laid out but not painted. */
  function unseen(): Tile[] {
    const seen = new Set([...tiles.values()].map((tile) => tile.placement.id));
    return reportsOn()
      .filter(({ id }) => !seen.has(id))
      .map((placement) => ({ key: `unseen-${placement.id}`, placement, pixels: 1 }));
  }

  /** Many tiles come at once when a view opens; they are painted together. */
  function repaintSoon(): void {
    if (waiting) return;
    waiting = true;
    queueMicrotask(() => {
      waiting = false;
      repaint();
    });
  }

  watch([piece, brand, reportsOn], ([now, kit, on], [was, kitBefore, onBefore]) => {
    if (kit === kitBefore && isSeenAs(now, was) && isSeenAs(on, onBefore)) return;
    asked = performance.now();
    // What is ahead hears of the same change later.
    if (turn() === "behind") void nextTick(repaint);
    else repaint();
  });
  tryOnScopeDispose(() => tiles.clear());

  return {
    reports,
    busy,
    add(tile) {
      tiles.set(tile.key, tile);
      repaintSoon();
    },
    remove(key) {
      tiles.delete(key);
    },
  };
}
