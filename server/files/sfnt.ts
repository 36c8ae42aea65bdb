import { inflateSync } from "node:zlib";
import wawoff from "wawoff2";

const WOFF = 0x774f4646; // "wOFF"
const WOFF2 = 0x774f4632; // "wOF2"
const COLLECTION = 0x74746366; // "ttcf"
const WOFF_HEADER = 44;
const WOFF_ENTRY = 20;
const WOFF2_HEADER = 48;
const SFNT_HEADER = 12;
const SFNT_ENTRY = 16;

/** Unpacked, no font has more; those for all of Han have a third. */
const MOST_UNPACKED = 64 * 1024 * 1024;

/**
 * A font file as OpenType, whichever way it was packed. Throws RangeError when a packed one is damaged, or would become
 * larger than any font is.
 */
export async function toSfnt(bytes: Uint8Array): Promise<Uint8Array> {
  const view = viewOf(bytes);
  const signature = bytes.length >= SFNT_HEADER ? view.getUint32(0) : 0;
  if (signature === WOFF2) {
    refuseLarge(woff2Lengths(view));
    return wawoff.decompress(bytes);
  }
  return signature === WOFF ? unpackWoff(bytes, view) : bytes;
}

const viewOf = (bytes: Uint8Array): DataView =>
  new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

function refuseLarge(lengths: readonly number[]): void {
  const total = lengths.reduce((sum, length) => sum + length, 0);
  if (total > MOST_UNPACKED)
    throw new RangeError(`it unpacks to more than ${MOST_UNPACKED / 1024 / 1024} MB`);
}

/** WOFF File Format 1.0 (W3C, 2012): a directory of tables, each packed by itself. */
function unpackWoff(bytes: Uint8Array, view: DataView): Uint8Array {
  const entries = Array.from({ length: view.getUint16(12) }, (_, index) => {
    const at = WOFF_HEADER + index * WOFF_ENTRY;
    const [offset, packed, length] = [4, 8, 12].map((field) => view.getUint32(at + field));
    const [tag, checksum] = [view.getUint32(at), view.getUint32(at + 16)];
    return { tag, checksum, offset: offset!, packed: packed!, length: length! };
  });
  refuseLarge(entries.map(({ length }) => length));
  const tables = entries.map(({ tag, checksum, offset, packed, length }) => {
    const data = bytes.subarray(offset, offset + packed);
    const whole = packed < length ? inflated(data, length) : data;
    if (whole.length !== length) throw new RangeError("a table of the font is damaged");
    return { tag, checksum, data: whole };
  });
  return sfntOf(view.getUint32(4), tables);
}

function inflated(data: Uint8Array, length: number): Uint8Array {
  try {
    return inflateSync(data, { maxOutputLength: length });
  } catch {
    throw new RangeError("a table of the font is damaged");
  }
}

/** How long each table says it will be; WOFF File Format 2.0 (W3C, 2022), § 4.1 and 5. */
function woff2Lengths(view: DataView): number[] {
  const count = view.getUint16(12);
  const lengths: number[] = [];
  let at = WOFF2_HEADER;
  const base128 = (): number => {
    let value = 0;
    for (let i = 0; i < 5; i++) {
      const byte = view.getUint8(at++);
      value = value * 128 + (byte & 0x7f);
      if ((byte & 0x80) === 0) return value;
    }
    throw new RangeError("its table directory is damaged");
  };
  for (let i = 0; i < count; i++) {
    const flags = view.getUint8(at++);
    const tag = flags & 0x3f;
    if (tag === 63) at += 4;
    const length = base128();
    // Outlines (glyf 10, loca 11) are transformed at version 0, all other tables when a version is named.
    const version = flags >> 6;
    const transformed = tag === 10 || tag === 11 ? version === 0 : version !== 0;
    lengths.push(Math.max(length, transformed ? base128() : 0));
  }
  return lengths;
}

/** What shaping and setting need, and one of these for the outlines; OpenType 1.9.1, "Font tables". */
const NEEDED = ["cmap", "head", "hhea", "hmtx", "maxp"];
const OUTLINES = ["glyf", "CFF ", "CFF2"];

/**
 * Throws RangeError for a font of which a part is missing: a table that its directory names lies beyond the end of the
 * file, or one that no font can do without is not there.
 */
export function refuseIncomplete(sfnt: Uint8Array): void {
  const view = viewOf(sfnt);
  if (sfnt.length < SFNT_HEADER) throw new RangeError("it is too short for a font");
  const isCollection = view.getUint32(0) === COLLECTION;
  const count = isCollection ? view.getUint32(8) : 1;
  for (let i = 0; i < count; i++) refuseCut(view, isCollection ? view.getUint32(12 + i * 4) : 0);
}

function refuseCut(view: DataView, start: number): void {
  const tags = new Set<string>();
  for (let i = 0; i < view.getUint16(start + 4); i++) {
    const at = start + SFNT_HEADER + i * SFNT_ENTRY;
    const tag = String.fromCharCode(...[0, 1, 2, 3].map((byte) => view.getUint8(at + byte)));
    if (view.getUint32(at + 8) + view.getUint32(at + 12) > view.byteLength)
      throw new RangeError(`it breaks off before its end: the table “${tag.trim()}” is cut`);
    tags.add(tag);
  }
  const missing = NEEDED.find((tag) => !tags.has(tag));
  if (missing !== undefined) throw new RangeError(`its table “${missing}” is missing`);
  if (!OUTLINES.some((tag) => tags.has(tag))) throw new RangeError("its letters have no outlines");
  if (tags.has("glyf") && !tags.has("loca"))
    throw new RangeError("its table “loca” is missing, so that its outlines cannot be found");
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
