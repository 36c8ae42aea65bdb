import type { FileId } from "../files";
import type { Piece, Running, RunningKind } from "../piece";
import type { PictureNames } from "./outline";
import { RUNNING } from "./running";

/** What runs through a new strip. */
const USUAL: readonly RunningKind[] = ["handle", "page-mark", "swipe-cue"];

export const running = (kind: RunningKind): Running => ({ kind, ...RUNNING[kind].usual });

/** The piece as a strip of slides, of which it is the first. */
export const asStrip = (piece: Piece): Piece => ({
  ...piece,
  kind: "carousel",
  running: piece.running ?? USUAL.map(running),
});

/** Pictures by the names of their files, whatever their case and with or without an ending. */
export function pictureNames(pictures: readonly { id: FileId; name: string }[]): PictureNames {
  const plain = (name: string): string => name.toLowerCase().replace(/\.[a-z0-9]{2,4}$/, "");
  const byName = new Map(pictures.map(({ id, name }) => [plain(name), id]));
  const byId = new Map(pictures.map(({ id, name }) => [id, name.replace(/\.[a-z0-9]{2,4}$/i, "")]));
  return {
    nameOf: (id) => byId.get(id) ?? id,
    idOf: (name) => byName.get(plain(name)) ?? (byId.has(name) ? name : undefined),
  };
}
