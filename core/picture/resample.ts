import type { Raster } from "./raster";
import { code } from "./resample.wasm";

/** For each output pixel of one axis, the first source pixel and the weights of those from there on. */
export interface Taps {
  first: Int32Array;
  weights: Float32Array;
  count: number;
}

/** What `resample.as.ts` gives. */
interface Kernel {
  memory: WebAssembly.Memory;
  resample(...numbers: number[]): void;
}

const PAGE = 65536;
/** A kernel whose memory a large picture has made larger than this is let go of, for memory never shrinks. */
const MOST_KEPT = 64 * 1024 * 1024;

let kernel: Kernel | undefined;
let module: WebAssembly.Module | undefined;

/** Pixels that are weighted sums of the source's, RGBA: as many a row as `across` has, and as many rows as `down`. */
export function resample(source: Raster, across: Taps, down: Taps): Uint8ClampedArray {
  const [width, height] = [across.first.length, down.first.length];
  const top = Math.min(down.first[0]!, down.first[height - 1]!);
  const end = Math.max(down.first[0]!, down.first[height - 1]!) + down.count;
  const rows = source.data.subarray(top * source.width * 4, end * source.width * 4);
  const line = width * 16;
  const room = new Room();
  const at = {
    source: room.take(rows.length),
    acrossFirst: room.take(across.first.byteLength),
    acrossWeights: room.take(across.weights.byteLength),
    downFirst: room.take(down.first.byteLength),
    downWeights: room.take(down.weights.byteLength),
    wide: room.take(source.width * 16),
    ring: room.take(down.count * line),
    held: room.take(down.count * 4),
    rows: room.take(down.count * 4),
    out: room.take(width * height * 4),
  };
  kernel ??= newKernel();
  const { memory } = kernel;
  const missing = room.bytes - memory.buffer.byteLength;
  if (missing > 0) memory.grow(Math.ceil(missing / PAGE));
  const put = (list: Int32Array | Float32Array, to: number) =>
    new Uint8Array(memory.buffer, to).set(new Uint8Array(list.buffer, 0, list.byteLength));
  new Uint8Array(memory.buffer, at.source).set(rows);
  put(across.first, at.acrossFirst);
  put(across.weights, at.acrossWeights);
  put(
    down.first.map((first) => first - top),
    at.downFirst,
  );
  put(down.weights, at.downWeights);
  kernel.resample(
    at.source,
    source.width,
    Number(source.opaque),
    at.acrossFirst,
    at.acrossWeights,
    across.count,
    at.downFirst,
    at.downWeights,
    down.count,
    at.wide,
    at.ring,
    at.held,
    at.rows,
    at.out,
    width,
    height,
  );
  const data = new Uint8ClampedArray(memory.buffer.slice(at.out, at.out + width * height * 4));
  if (memory.buffer.byteLength > MOST_KEPT) kernel = undefined;
  return data;
}

function newKernel(): Kernel {
  module ??= new WebAssembly.Module(code);
  return new WebAssembly.Instance(module).exports as unknown as Kernel;
}

/** Parts out of the module's memory, one after the other; nothing of it is kept between two calls. */
class Room {
  bytes = 1024;

  /** Where the next `length` bytes are; each part begins at a whole pixel of floats. */
  take(length: number): number {
    const at = this.bytes;
    this.bytes += Math.ceil(length / 16) * 16;
    return at;
  }
}
