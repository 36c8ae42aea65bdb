import { transfer, wrap, type Remote } from "comlink";
import { toRaw } from "vue";
import type { Painter, ShowRequest, Shown } from "./protocol";

let remote: Remote<Painter> | undefined;

function painter(): Remote<Painter> {
  remote ??= wrap<Painter>(new Worker(new URL("./worker.ts", import.meta.url), { type: "module" }));
  return remote;
}

let canvases = 0;
export const newTileKey = (): string => `tile-${++canvases}`;

export function attachCanvas(key: string, canvas: HTMLCanvasElement): void {
  const offscreen = canvas.transferControlToOffscreen();
  void painter().attach(key, transfer(offscreen, [offscreen]));
}

export const detachCanvas = (key: string): void => void painter().detach(key);

/** Requests of one group are never queued: while one is painted, only the newest of the others waits. */
export class ShowQueue {
  private busy = false;
  private next: ShowRequest | undefined;

  constructor(private readonly onShown: (shown: Shown[], request: ShowRequest) => void) {}

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
        this.onShown(await painter().show(plain(request)), request);
      } catch (error) {
        console.error("A size could not be painted.", error);
      }
    }
    this.busy = false;
  }
}

/** Workers take plain data only; Vue's proxies are taken off first. */
const plain = (request: ShowRequest): ShowRequest => structuredClone(deepRaw(request));

function deepRaw<T>(value: T): T {
  const raw = toRaw(value);
  if (Array.isArray(raw)) return raw.map(deepRaw) as T;
  if (raw === null || typeof raw !== "object") return raw;
  return Object.fromEntries(Object.entries(raw).map(([key, part]) => [key, deepRaw(part)])) as T;
}
