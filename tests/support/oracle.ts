import type { Scene } from "../../core/scene";
import type { Studio } from "../../server/render/studio";

/*
 * What a size really shows, from its pixels alone: it is painted with and without the words of each node, and the two
 * pictures tell what those words cover and what is behind them. Nothing here asks the engine or its checks.
 */

/** The words of one node as they are seen; `ink` has 1 for each pixel that they cover, `edges` are in painted pixels. */
export interface SeenWords {
  node: string;
  ink: Uint8Array;
  edges: { left: number; top: number; right: number; bottom: number };
  /** WCAG contrast of the words against what is really behind them: worst tenth and middle of their pixels. */
  contrast: { worst: number; middle: number };
}

export interface Seen {
  width: number;
  height: number;
  words: SeenWords[];
}

/** A change of less than this, of 255, is no ink but the blur of an edge. */
const INKED = 24;
/** Pixels that changed by this share of the most are all ink: contrast is measured there. */
const CORE = 0.8;

export async function seen(studio: Studio, scene: Scene, scale: number): Promise<Seen> {
  const { data, width, height } = await studio.painter.paint(scene, scale);
  const whole = Buffer.from(data);
  const nodes = new Set(scene.items.flatMap(({ kind, node }) => (kind === "glyphs" ? [node] : [])));
  const words: SeenWords[] = [];
  for (const node of nodes) {
    const items = scene.items.filter((item) => item.kind !== "glyphs" || item.node !== node);
    const without = await studio.painter.paint({ ...scene, items }, scale);
    words.push({ node, ...between(whole, without.data, width, height) });
  }
  return { width, height, words };
}

function between(
  whole: Buffer,
  without: Buffer,
  width: number,
  height: number,
): Omit<SeenWords, "node"> {
  const ink = new Uint8Array(width * height);
  const change = new Uint8Array(width * height);
  const edges = { left: width, top: height, right: 0, bottom: 0 };
  let most = 0;
  for (let i = 0; i < ink.length; i++) {
    const by = Math.max(
      ...[0, 1, 2].map((channel) => Math.abs(whole[3 * i + channel]! - without[3 * i + channel]!)),
    );
    change[i] = by;
    most = Math.max(most, by);
    if (by < INKED) continue;
    ink[i] = 1;
    const [x, y] = [i % width, Math.floor(i / width)];
    edges.left = Math.min(edges.left, x);
    edges.top = Math.min(edges.top, y);
    edges.right = Math.max(edges.right, x + 1);
    edges.bottom = Math.max(edges.bottom, y + 1);
  }
  const contrasts: number[] = [];
  for (let i = 0; i < ink.length; i++)
    if (change[i]! >= CORE * most && most > 0)
      contrasts.push(contrast(luminance(whole, 3 * i), luminance(without, 3 * i)));
  contrasts.sort((a, b) => a - b);
  const at = (share: number) => contrasts[Math.floor(share * contrasts.length)] ?? 1;
  return { ink, edges, contrast: { worst: at(0.1), middle: at(0.5) } };
}

/** Of the smaller of two inks, the share that lies on the other. */
export function sharedInk(a: SeenWords, b: SeenWords): number {
  let [both, inA, inB] = [0, 0, 0];
  for (let i = 0; i < a.ink.length; i++) {
    inA += a.ink[i]!;
    inB += b.ink[i]!;
    both += a.ink[i]! & b.ink[i]!;
  }
  return both / Math.max(1, Math.min(inA, inB));
}

/** Relative luminance, WCAG 2.2. Written here once more on purpose: an oracle shares nothing with what it judges. */
function luminance(data: Buffer, at: number): number {
  const [r, g, b] = [0, 1, 2].map((channel) => {
    const value = data[at + channel]! / 255;
    return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
}

const contrast = (a: number, b: number): number =>
  (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
