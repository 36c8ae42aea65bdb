/**
 * Putting JPEG files of equal width, one under the other, into one without encoding them again: ITU-T T.81 (JPEG), B.2.4.4
 * and F.1.1.5.2. A restart marker ends what an encoder foretells from the blocks before, so that what stands after one is
 * written as if a file began there. All must be made with the same tables, and all but the last must have as many rows, whole
 * blocks of them.
 */
export function joinJpegs(bands: readonly Uint8Array[], height: number): Buffer {
  const parts = bands.map(partsOf);
  const [first] = parts;
  if (!first || parts.length === 1) return Buffer.from(bands[0] ?? []);
  const out: Uint8Array[] = [headOf(first, height)];
  parts.forEach(({ scan }, index) => {
    if (index > 0) out.push(Uint8Array.of(0xff, RESTART + ((index - 1) % RESTARTS)));
    out.push(scan);
  });
  out.push(Uint8Array.of(0xff, END));
  return Buffer.concat(out);
}

const FRAME = 0xc0;
const RESTART = 0xd0;
const RESTARTS = 8;
const END = 0xd9;
const SCAN = 0xda;
const INTERVAL = 0xdd;

interface Parts {
  /** All segments before the scan's. */
  head: Buffer;
  /** Where in `head` the frame's segment begins. */
  frame: number;
  /** The scan's own segment. */
  start: Buffer;
  /** What is encoded, without the marker of the end. */
  scan: Buffer;
}

function partsOf(jpeg: Uint8Array): Parts {
  const bytes = Buffer.from(jpeg.buffer, jpeg.byteOffset, jpeg.length);
  let frame = -1;
  // After the two bytes of the start each segment has a marker and its length, which counts itself.
  let at = 2;
  while (bytes[at + 1] !== SCAN) {
    if (bytes[at + 1] === FRAME) frame = at;
    at += 2 + bytes.readUInt16BE(at + 2);
  }
  const scan = at + 2 + bytes.readUInt16BE(at + 2);
  return {
    head: bytes.subarray(0, at),
    frame,
    start: bytes.subarray(at, scan),
    scan: bytes.subarray(scan, bytes.length - 2),
  };
}

/** The head with the height of the whole, and how many blocks stand between two restart markers. */
function headOf({ head, frame, start }: Parts, height: number): Buffer {
  const whole = Buffer.from(head);
  const rows = whole.readUInt16BE(frame + 5);
  const width = whole.readUInt16BE(frame + 7);
  // The first component, lightness, is the one that is sampled most.
  const sampling = whole[frame + 11]!;
  const [across, down] = [8 * (sampling >> 4), 8 * (sampling & 15)];
  whole.writeUInt16BE(height, frame + 5);
  const interval = Buffer.from([0xff, INTERVAL, 0, 4, 0, 0]);
  interval.writeUInt16BE(Math.ceil(width / across) * (rows / down), 4);
  return Buffer.concat([whole, interval, start]);
}
