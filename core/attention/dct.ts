/**
 * The orthonormal cosine transform of a square of `side` × `side` values, row after row (type II; type III undoes it).
 * `side` is a multiple of four.
 */
export class CosineTransform {
  /** The weight of input `n` for output `k` stands at `k * side + n`. */
  private readonly basis: Float64Array;
  private readonly turned: Float64Array;

  constructor(private readonly side: number) {
    const at = (k: number, n: number): number =>
      Math.sqrt((k === 0 ? 1 : 2) / side) * Math.cos((Math.PI * (2 * n + 1) * k) / (2 * side));
    const all = (weight: (row: number, column: number) => number) =>
      Float64Array.from({ length: side * side }, (_, i) => weight(Math.floor(i / side), i % side));
    this.basis = all(at);
    this.turned = all((n, k) => at(k, n));
  }

  forward(values: Float64Array): Float64Array {
    return this.rows(this.rows(values, this.basis), this.basis);
  }

  inverse(coefficients: Float64Array): Float64Array {
    return this.rows(this.rows(coefficients, this.turned), this.turned);
  }

  /** Every row transformed, and rows and columns changed places; twice is both directions. */
  private rows(values: Float64Array, weights: Float64Array): Float64Array {
    const { side } = this;
    const out = new Float64Array(side * side);
    for (let row = 0; row < side; row++) {
      const from = row * side;
      // Four outputs at a time read each value once.
      for (let k = 0; k < side; k += 4) {
        const [w0, w1, w2, w3] = [k * side, (k + 1) * side, (k + 2) * side, (k + 3) * side];
        let [a, b, c, d] = [0, 0, 0, 0];
        for (let n = 0; n < side; n++) {
          const value = values[from + n]!;
          a += weights[w0 + n]! * value;
          b += weights[w1 + n]! * value;
          c += weights[w2 + n]! * value;
          d += weights[w3 + n]! * value;
        }
        out[w0 + row] = a;
        out[w1 + row] = b;
        out[w2 + row] = c;
        out[w3 + row] = d;
      }
    }
    return out;
  }
}
