import type { FileId } from "../files";
import type { Piece, Pin, Running, RunningKind } from "../piece";
import type { PictureNames } from "./outline";
import { RUNNING } from "./running";

/** What runs through a new strip. */
const USUAL: readonly RunningKind[] = ["handle", "page-mark", "swipe-cue"];

export const running = (kind: RunningKind): Running => ({ kind, ...RUNNING[kind].usual });

/** Corners first: what stands in the middle meets what is wide at both sides. */
const PINS: readonly Pin[] = (["bottom", "top"] as const).flatMap((v) =>
  (["left", "right", "centre"] as const).map((h): Pin => ({ h, v })),
);

/** Two in one row meet where one stands in the middle and the other is wide, or both on one side. */
const meet = (a: Running, b: Running): boolean =>
  a.pin.v === b.pin.v &&
  (a.pin.h === b.pin.h || [a, b].some((one, at) => isWide(one) && [b, a][at]!.pin.h === "centre"));

const isWide = ({ kind }: Running): boolean => kind === "portrait" || kind === "line";

/** What runs through a strip with one more: where it usually stands, else where it meets nothing. */
export function withRunning(items: readonly Running[], kind: RunningKind): Running[] {
  const usual = running(kind);
  const tries = [usual, ...PINS.map((pin) => ({ ...usual, pin }))];
  const free = tries.find((one) => !items.some((other) => meet(one, other)));
  return [...items, free ?? usual];
}

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
