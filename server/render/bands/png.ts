import { promisify } from "node:util";
import { constants, crc32, deflateRaw } from "node:zlib";

const deflated = promisify(deflateRaw);
const LEVEL = 6;
const SIGNATURE = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
const BITS = 8;
const RGB = 2;
/** RFC 1950: a window of 32 KiB, usual compression. */
const ZLIB_HEAD = Buffer.from([0x78, 0x9c]);
/** RFC 1951: a last block with nothing in it. */
const LAST_BLOCK = Buffer.from([0x03, 0x00]);
const CHANNELS = 3;

/**
 * Some rows of a PNG, RGB, as a piece of its stream that ends on a whole byte and refers to nothing outside of it, before a
 * checksum of what it holds. Rows are not filtered: filtering makes flat graphics with a photograph larger, and takes twice
 * as long.
 */
export async function pngBand(rgb: Uint8Array, width: number): Promise<Buffer> {
  const stride = width * CHANNELS;
  const rows = rgb.length / stride;
  const raw = Buffer.alloc(rows * (stride + 1));
  for (let row = 0; row < rows; row++)
    raw.set(rgb.subarray(row * stride, (row + 1) * stride), row * (stride + 1) + 1);
  const stream = await deflated(raw, { level: LEVEL, finishFlush: constants.Z_FULL_FLUSH });
  const sum = Buffer.alloc(SUM_BYTES);
  sum.writeUInt32BE(adler32(raw));
  sum.writeUInt32BE(raw.length, 4);
  return Buffer.concat([sum, stream]);
}

/** The sum of what a band holds, and how many bytes that is. */
const SUM_BYTES = 8;

/** Bands, one under the other, as a file: W3C, Portable Network Graphics, third edition. */
export function joinPngBands(bands: readonly Buffer[], width: number, height: number): Buffer {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([BITS, RGB, 0, 0, 0], 8);
  const sum = Buffer.alloc(4);
  sum.writeUInt32BE(
    bands.reduce((all, band) => joined(all, band.readUInt32BE(0), band.readUInt32BE(4)), 1),
  );
  const stream = bands.map((band) => band.subarray(SUM_BYTES));
  return Buffer.concat([
    SIGNATURE,
    ...chunk("IHDR", [head]),
    ...chunk("IDAT", [ZLIB_HEAD, ...stream, LAST_BLOCK, sum]),
    ...chunk("IEND", []),
  ]);
}

function chunk(name: string, data: readonly Buffer[]): Buffer[] {
  const length = Buffer.alloc(4);
  length.writeUInt32BE(data.reduce((sum, { length }) => sum + length, 0));
  const type = Buffer.from(name, "latin1");
  const check = Buffer.alloc(4);
  check.writeUInt32BE([type, ...data].reduce((sum, part) => crc32(part, sum), 0));
  return [length, type, ...data, check];
}

/** The largest prime below 2¹⁶, and how many bytes can be added up before a sum has to be taken by it. */
const PRIME = 65_521;
const AT_ONCE = 5552;

/** RFC 1950, 8.2. */
function adler32(bytes: Uint8Array): number {
  let [a, b] = [1, 0];
  for (let from = 0; from < bytes.length; from += AT_ONCE) {
    const to = Math.min(bytes.length, from + AT_ONCE);
    for (let i = from; i < to; i++) {
      a += bytes[i]!;
      b += a;
    }
    a %= PRIME;
    b %= PRIME;
  }
  return ((b << 16) | a) >>> 0;
}

/** The sum of two stretches from theirs, of which the second has `length` bytes. */
function joined(first: number, second: number, length: number): number {
  const [a1, b1, a2, b2] = [first & 0xffff, first >>> 16, second & 0xffff, second >>> 16];
  const a = (a1 + a2 - 1 + PRIME) % PRIME;
  const b = (b1 + b2 + (length % PRIME) * (a1 - 1 + PRIME)) % PRIME;
  return ((b << 16) | a) >>> 0;
}
