import { makeScene } from "../../core/engine";
import { placementById } from "../../core/placements";
import type { Finding } from "../../core/preflight";
import type { Layout, Placed } from "../../core/refit";
import { demoPieces, demoSources } from "./demo";

/** The announcement of the demo, laid out for a placement. */
export async function layoutOf(placement: string): Promise<Layout> {
  const { piece, brand } = demoPieces().find((entry) => entry.piece.id === "opening-announcement")!;
  return makeScene(piece, brand, placementById(placement), await demoSources()).layout;
}

/** The layout with one node otherwise, as if a person had put it so. */
export const change = (layout: Layout, id: string, to: (item: Placed) => Placed): Layout => ({
  ...layout,
  placed: layout.placed.map((item) => (item.node.id === id ? to(item) : item)),
});

export function moved(item: Placed, dx: number, dy: number): Placed {
  const shift = <T extends { x: number; y: number }>(b: T): T => ({
    ...b,
    x: b.x + dx,
    y: b.y + dy,
  });
  const text = item.text && { ...item.text, ink: shift(item.text.ink) };
  return { ...item, box: shift(item.box), ...(text ? { text } : {}) };
}

/** What was found about a node. */
export const codesAt = (findings: Finding[], node: string): string[] =>
  findings.filter((finding) => finding.node === node).map((finding) => finding.code);
