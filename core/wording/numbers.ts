/** 0.0123 as “1.23 %”, with as many digits as tell something. */
export const percent = (rate: number): string =>
  rate === 0 ? "0 %" : `${(100 * rate).toFixed(rate < 0.1 ? 2 : 1)} %`;
