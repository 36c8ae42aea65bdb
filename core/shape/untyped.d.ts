declare module "qrcode" {
  /** The modules of a code, row after row; true where it is dark. */
  interface Modules {
    size: number;
    get(row: number, column: number): number | boolean;
  }
  export function create(
    text: string,
    options: { errorCorrectionLevel: "L" | "M" | "Q" | "H" },
  ): { modules: Modules };
}
