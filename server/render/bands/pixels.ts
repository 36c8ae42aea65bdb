/**
 * RGBA without the A, in its own bytes: four pixels at a time, of four bytes each in the order of the machine, which has the
 * lowest first.
 */
export function withoutAlpha(rgba: Uint8ClampedArray): Buffer {
  const count = rgba.length / 4;
  const words = new Uint32Array(rgba.buffer, rgba.byteOffset, count);
  // Beyond the last there is nothing, of which the machine makes a pixel of zeros.
  for (let from = 0, to = 0; from < count; from += 4, to += 3) {
    const second = words[from + 1]!;
    const third = words[from + 2]!;
    words[to] = (words[from]! & 0xffffff) | (second << 24);
    words[to + 1] = ((second >>> 8) & 0xffff) | (third << 16);
    words[to + 2] = ((third >>> 16) & 0xff) | (words[from + 3]! << 8);
  }
  return Buffer.from(rgba.buffer, rgba.byteOffset, 3 * count);
}
