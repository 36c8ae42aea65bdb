/**
 * The orthonormal cosine transform of a square of `side` × `side` values, row after row (type II; type III undoes it).
 * `side` is even: waves of even number are the same from either end, the others turn over, so that half of the sums do.
 */
export class CosineTransform {
  private readonly half: number;
  /** The weight of input `n` of the first half for output `k` stands at `k * half + n`. */
  private readonly basis: Float64Array;

  constructor(private readonly side: number) {
    this.half = side / 2;
    this.basis = Float64Array.from({ length: side * this.half }, (_, i) => {
      const k = Math.floor(i / this.half);
      const n = i % this.half;
      const scale = Math.sqrt((k === 0 ? 1 : 2) / side);
      return scale * Math.cos((Math.PI * (2 * n + 1) * k) / (2 * side));
    });
  }

  forward(values: Float64Array): Float64Array {
    return this.rows(this.rows(values, this.transformed), this.transformed);
  }

  inverse(coefficients: Float64Array): Float64Array {
    return this.rows(this.rows(coefficients, this.restored), this.restored);
  }

  /** Every row turned over by `turn`, and rows and columns changed places; twice is both directions. */
  private rows(values: Float64Array, turn: (row: Float64Array, to: Float64Array) => void) {
    const { side } = this;
    const turned = new Float64Array(side);
    const out = new Float64Array(side * side);
    for (let row = 0; row < side; row++) {
      turn(values.subarray(row * side, (row + 1) * side), turned);
      for (let k = 0; k < side; k++) out[k * side + row] = turned[k]!;
    }
    return out;
  }

  private readonly transformed = (row: Float64Array, to: Float64Array): void => {
    const { side, half, basis } = this;
    const sums = new Float64Array(half);
    const differences = new Float64Array(half);
    for (let n = 0; n < half; n++) {
      sums[n] = row[n]! + row[side - 1 - n]!;
      differences[n] = row[n]! - row[side - 1 - n]!;
    }
    for (let k = 0; k < side; k++) {
      const from = k % 2 === 0 ? sums : differences;
      let sum = 0;
      for (let n = 0; n < half; n++) sum += basis[k * half + n]! * from[n]!;
      to[k] = sum;
    }
  };

  private readonly restored = (row: Float64Array, to: Float64Array): void => {
    const { side, half, basis } = this;
    const even = new Float64Array(half);
    const odd = new Float64Array(half);
    for (let k = 0; k < side; k++) {
      const into = k % 2 === 0 ? even : odd;
      const value = row[k]!;
      for (let n = 0; n < half; n++) into[n]! += basis[k * half + n]! * value;
    }
    for (let n = 0; n < half; n++) {
      to[n] = even[n]! + odd[n]!;
      to[side - 1 - n] = even[n]! - odd[n]!;
    }
  };
}
