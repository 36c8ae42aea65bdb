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

/** Answers when every tile is painted with what is loaded. */
export async function show(wanted: ShowRequest): Promise<Painted[]> {
  const request = plain(wanted);
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
  const request: ShowRequest = { piece, brand, tiles: [{ ...tile, key }], fitted: true };
  await painter.show(plain(request));
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

/** Answers when every picture that was asked for has come, or failed, and is painted. */
export async function complete(): Promise<void> {
  await Promise.all(painters().map((painter) => painter.complete()));
}

/** Workers take plain data only; Vue's proxies are taken off first. */
function plain<T>(value: T): T {
  const raw = toRaw(value);
  if (Array.isArray(raw)) return raw.map(plain) as T;
  if (raw === null || typeof raw !== "object") return raw;
  return Object.fromEntries(Object.entries(raw).map(([key, part]) => [key, plain(part)])) as T;
}
