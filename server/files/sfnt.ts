import { unzlibSync } from "fflate";
import wawoff from "wawoff2";

const WOFF = 0x774f4646; // "wOFF"
const WOFF2 = 0x774f4632; // "wOF2"
const WOFF_HEADER = 44;
const WOFF_ENTRY = 20;
const SFNT_HEADER = 12;
const SFNT_ENTRY = 16;

/** A font file as OpenType, whichever way it was packed. Throws when a packed one is damaged. */
export async function toSfnt(bytes: Uint8Array): Promise<Uint8Array> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const signature = bytes.length >= SFNT_HEADER ? view.getUint32(0) : 0;
  if (signature === WOFF2) return wawoff.decompress(bytes);
  return signature === WOFF ? unpackWoff(bytes, view) : bytes;
}

/** WOFF File Format 1.0 (W3C, 2012): a directory of tables, each packed by itself. */
function unpackWoff(bytes: Uint8Array, view: DataView): Uint8Array {
  const count = view.getUint16(12);
  const tables = Array.from({ length: count }, (_, index) => {
    const at = WOFF_HEADER + index * WOFF_ENTRY;
    const [offset, packed, length] = [4, 8, 12].map((field) => view.getUint32(at + field));
    const data = bytes.subarray(offset!, offset! + packed!);
    const whole = packed! < length! ? unzlibSync(data) : data;
    if (whole.length !== length) throw new RangeError("a table of the font is damaged");
    return { tag: view.getUint32(at), checksum: view.getUint32(at + 16), data: whole };
  });
  return sfntOf(view.getUint32(4), tables);
}

interface Table {
  tag: number;
  checksum: number;
  data: Uint8Array;
}

const padded = (length: number): number => (length + 3) & ~3;

/** OpenType's table directory, then the tables, each on a multiple of four bytes. */
function sfntOf(flavour: number, tables: Table[]): Uint8Array {
  const start = SFNT_HEADER + tables.length * SFNT_ENTRY;
  const size = tables.reduce((sum, { data }) => sum + padded(data.length), start);
  const out = new Uint8Array(size);
  const view = new DataView(out.buffer);
  const power = Math.floor(Math.log2(tables.length));
  view.setUint32(0, flavour);
  view.setUint16(4, tables.length);
  view.setUint16(6, 2 ** power * 16);
  view.setUint16(8, power);
  view.setUint16(10, tables.length * 16 - 2 ** power * 16);
  let offset = start;
  tables.forEach(({ tag, checksum, data }, index) => {
    const at = SFNT_HEADER + index * SFNT_ENTRY;
    [tag, checksum, offset, data.length].forEach((value, field) =>
      view.setUint32(at + field * 4, value),
    );
    out.set(data, offset);
    offset += padded(data.length);
  });
  return out;
}
