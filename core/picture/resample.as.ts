/*
 * Resampling in AssemblyScript, compiled by scripts/kernel.mjs: four channels of a pixel at once, as 32-bit floats.
 * Addresses are bytes in the module's memory. Colours are weighted by how much they cover, or what is see-through
 * would darken its edge.
 */

const FLOATS: usize = 16;

/**
 * Makes `width` × `height` pixels at `out` from rows of `stride` pixels at `source`, RGBA. `wide` holds a source row,
 * `ring` as many narrow rows as an output row needs, both as floats. `held` says which those are, and `rows` where each
 * is that an output row is made of.
 */
export function resample(
  source: usize,
  stride: i32,
  opaque: bool,
  acrossFirst: usize,
  acrossWeights: usize,
  acrossCount: i32,
  downFirst: usize,
  downWeights: usize,
  downCount: i32,
  wide: usize,
  ring: usize,
  held: usize,
  rows: usize,
  out: usize,
  width: i32,
  height: i32,
): void {
  const line = (width as usize) * FLOATS;
  for (let t = 0; t < downCount; t++) store<i32>(held + ((t as usize) << 2), -1);
  for (let y = 0; y < height; y++) {
    const first = load<i32>(downFirst + ((y as usize) << 2));
    for (let t = 0; t < downCount; t++) {
      const row = first + t;
      const slot = (row % downCount) as usize;
      store<usize>(rows + ((t as usize) << 2), ring + slot * line);
      if (load<i32>(held + (slot << 2)) == row) continue;
      widen(source + (((row * stride) as usize) << 2), wide, stride, opaque);
      squeeze(wide, ring + slot * line, acrossFirst, acrossWeights, acrossCount, width);
      store<i32>(held + (slot << 2), row);
    }
    const weights = downWeights + (((y * downCount) as usize) << 2);
    stack(rows, weights, downCount, out + (((y * width) as usize) << 2), width, opaque);
  }
}

/** A row of bytes as floats, its colours weighted by how much they cover. */
function widen(from: usize, to: usize, pixels: i32, opaque: bool): void {
  for (let i = 0; i < pixels; i++, from += 4, to += FLOATS) {
    const bytes = v128.load32_zero(from);
    let pixel = f32x4.convert_i32x4_u(i32x4.extend_low_i16x8_u(i16x8.extend_low_i8x16_u(bytes)));
    if (!opaque) {
      const covers = f32x4.extract_lane(pixel, 3) / 255;
      pixel = f32x4.mul(pixel, f32x4.replace_lane(f32x4.splat(covers), 3, 1));
    }
    v128.store(to, pixel);
  }
}

/** A row at its new width. */
function squeeze(
  row: usize,
  to: usize,
  first: usize,
  weights: usize,
  count: i32,
  width: i32,
): void {
  for (let x = 0; x < width; x++, first += 4, to += FLOATS) {
    let sum = f32x4.splat(0);
    let from = row + (load<i32>(first) as usize) * FLOATS;
    for (let t = 0; t < count; t++, from += FLOATS, weights += 4)
      sum = f32x4.add(sum, f32x4.mul(v128.load32_splat(weights), v128.load(from)));
    v128.store(to, sum);
  }
}

/** One output row from the narrow rows around it. */
function stack(rows: usize, weights: usize, count: i32, to: usize, width: i32, opaque: bool): void {
  const line = (width as usize) * FLOATS;
  for (let x: usize = 0; x < line; x += FLOATS, to += 4) {
    let sum = f32x4.splat(0);
    for (let t = 0; t < count; t++) {
      const at = (t as usize) << 2;
      const row = v128.load(load<usize>(rows + at) + x);
      sum = f32x4.add(sum, f32x4.mul(v128.load32_splat(weights + at), row));
    }
    if (!opaque) {
      const alpha = f32x4.extract_lane(sum, 3);
      const by: f32 = alpha > 0.5 ? 255 / alpha : 0;
      sum = f32x4.mul(sum, f32x4.replace_lane(f32x4.splat(by), 3, 1));
    }
    const whole = i32x4.trunc_sat_f32x4_s(f32x4.nearest(sum));
    const words = i16x8.narrow_i32x4_s(whole, whole);
    const bytes = i32x4.extract_lane(i8x16.narrow_i16x8_u(words, words), 0);
    store<i32>(to, opaque ? bytes | 0xff000000 : bytes);
  }
}
