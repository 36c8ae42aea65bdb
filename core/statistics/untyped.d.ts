declare module "jstat" {
  interface Normal {
    cdf(x: number, mean: number, spread: number): number;
    inv(p: number, mean: number, spread: number): number;
  }
  const jstat: {
    jStat: {
      normal: Normal;
      hypgeom: { pdf(k: number, all: number, marked: number, drawn: number): number };
      gammaln(x: number): number;
    };
  };
  export default jstat;
}

declare module "cephes" {
  export const compiled: Promise<void>;
  export function ndtr(x: number): number;
  export function ndtri(p: number): number;
  export function lgam(x: number): number;
}
