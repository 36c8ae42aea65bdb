import { transfer, wrap, type Remote } from "comlink";
import { toRaw } from "vue";
import type { Brand } from "../../core/brand";
import type { Piece } from "../../core/piece";
import type { Offered, OfferRequest, Painter, ShowRequest, Painted, Tile } from "./protocol";

/** Sizes are made beside each other, one worker for each core that the page may use. */
const MOST_WORKERS = 3;
const workers: Remote<Painter>[] = [];

function painters(): readonly Remote<Painter>[] {
  const wanted = Math.min(MOST_WORKERS, Math.max(1, navigator.hardwareConcurrency));
  while (workers.length < wanted) {
    const worker = new Worker(new URL("./worker.ts", import.meta.url), { type: "module" });
    workers.push(wrap<Painter>(worker));
  }
  return workers;
}

/** Has them begun before there is anything to paint. */
export const startPainters = (): void => void painters();

let tiles = 0;
export const newTileKey = (): string => `tile-${++tiles}`;

/** A canvas belongs to the worker that it was handed to, so each tile keeps its worker. */
const owners = new Map<string, number>();
let next = 0;

/** What is prepared for a name is with one worker, and so is the canvas that shows it. */
const ownerFor = (name: string): number =>
  [...name].reduce((sum, character) => sum + character.charCodeAt(0), 0) % painters().length;

/** A canvas that shows something `prepared` goes to the worker that has it. */
export function attachCanvas(key: string, canvas: HTMLCanvasElement, prepared?: string): void {
  const owner = prepared === undefined ? next++ % painters().length : ownerFor(prepared);
  owners.set(key, owner);
  const offscreen = canvas.transferControlToOffscreen();
  void painters()[owner]!.attach(key, transfer(offscreen, [offscreen]));
}

export function detachCanvas(key: string): void {
  void painters()[owners.get(key) ?? 0]!.detach(key);
  owners.delete(key);
}

/** What a painter has of a request that is none of its own. */
const NOTHING: Promise<never[]> = Promise.resolve([]);

async function show(request: ShowRequest): Promise<Painted[]> {
  const shares = painters().map((painter, owner) => {
    const own = request.tiles.filter(
      (tile, index) => (owners.get(tile.key) ?? index % painters().length) === owner,
    );
    return own.length > 0 ? painter.show({ ...request, tiles: own }) : NOTHING;
  });
  return (await Promise.all(shares)).flat();
}

/** Makes a piece ready under its name before it is asked for, pictures included; nothing is shown. */
export async function prepare(piece: Piece, brand: Brand, tile: Omit<Tile, "key">): Promise<void> {
  const painter = painters()[ownerFor(piece.id)]!;
  const key = newTileKey();
  const canvas = new OffscreenCanvas(1, 1);
  void painter.attach(key, transfer(canvas, [canvas]));
  await painter.show(plain({ piece, brand, tiles: [{ ...tile, key }], begins: true }));
  await painter.complete();
  void painter.detach(key);
}

/** What templates make of a message, each weighed by the worker that will show it. */
export async function offers({ brand, wanted }: OfferRequest): Promise<Offered[]> {
  const shares = painters().map((painter, owner) => {
    const own = wanted.filter(({ piece }) => ownerFor(piece.id) === owner);
    return own.length > 0 ? painter.offer(plain({ brand, wanted: own })) : NOTHING;
  });
  return (await Promise.all(shares)).flat();
}

interface ShowQueueOptions {
  onShown: (shown: Painted[], request: ShowRequest) => void;
  /** Everything that was asked for is on screen, pictures included. */
  onComplete: () => void;
}

/** Requests of one group are never queued: while one is painted, only the newest of the others waits. */
export class ShowQueue {
  private busy = false;
  private next: ShowRequest | undefined;

  constructor(private readonly options: ShowQueueOptions) {}

  show(request: ShowRequest): void {
    this.next = request;
    if (!this.busy) void this.work();
  }

  private async work(): Promise<void> {
    this.busy = true;
    while (this.next) {
      const request = this.next;
      this.next = undefined;
      try {
        this.options.onShown(await show(plain(request)), request);
      } catch (error) {
        console.error("A size could not be painted.", error);
      }
    }
    this.busy = false;
    await Promise.all(painters().map((painter) => painter.complete()));
    if (!this.busy) this.options.onComplete();
  }
}

/** Workers take plain data only; Vue's proxies are taken off first. */
function plain<T>(value: T): T {
  const raw = toRaw(value);
  if (Array.isArray(raw)) return raw.map(plain) as T;
  if (raw === null || typeof raw !== "object") return raw;
  return Object.fromEntries(Object.entries(raw).map(([key, part]) => [key, plain(part)])) as T;
}
