import { create } from "qrcode";
import { fitted } from "./path";
import type { Box } from "../geometry";

/** The empty edge that ISO/IEC 18004 asks for round a code, in modules. */
const QUIET = 4;

export interface Code {
  /** The dark modules, in a square box of `side` modules with the quiet edge. */
  d: string;
  side: number;
}

/** The most that a code of level M holds, in bytes (ISO/IEC 18004, version 40). */
const MOST_BYTES = 2331;

/** A QR code (ISO/IEC 18004) that survives the loss of 15 % of it (level M). Undefined when the text is too long. */
export function codeFor(text: string): Code | undefined {
  if (new TextEncoder().encode(text).length > MOST_BYTES) return undefined;
  const { modules } = create(text, { errorCorrectionLevel: "M" });
  let d = "";
  for (let row = 0; row < modules.size; row++) {
    for (let column = 0; column < modules.size; column++) {
      if (!modules.get(row, column) || (column > 0 && modules.get(row, column - 1))) continue;
      let width = 1;
      while (column + width < modules.size && modules.get(row, column + width)) width++;
      d += `M${column + QUIET} ${row + QUIET}h${width}v1h${-width}Z`;
    }
  }
  return { d, side: modules.size + 2 * QUIET };
}

/** The largest square of whole pixels for each module in a box, so that every module is sharp. */
export function codeIn(code: Code, b: Box): { d: string; box: Box } {
  const room = Math.min(b.width, b.height);
  const module = room >= code.side ? Math.floor(room / code.side) : room / code.side;
  const side = module * code.side;
  const box = {
    x: Math.round(b.x + (b.width - side) / 2),
    y: Math.round(b.y + (b.height - side) / 2),
    width: side,
    height: side,
  };
  return { d: fitted(code.d, { width: code.side, height: code.side }, box), box };
}
