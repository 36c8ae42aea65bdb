import { readFile } from "node:fs/promises";
import { join } from "node:path";
import type { FileId } from "../../core/files";
import { shippedFonts } from "../../core/shelf";
import type { FileSource } from "./source";

/** The fonts that ship with the program, and behind them the files that were stored. */
export class WithShipped implements FileSource {
  constructor(
    private readonly fonts: string,
    private readonly stored: FileSource,
  ) {}

  read(id: FileId): Promise<Buffer> {
    const path = shippedFonts.get(id);
    return path === undefined ? this.stored.read(id) : readFile(join(this.fonts, path));
  }
}
