import { computed, type ComputedRef } from "vue";
import type { PictureFile } from "../../core/files";
import { cropTo, focusArea, movedIn, type Move } from "../../core/picture";
import {
  Framing,
  isPicture,
  pictureStyleOf,
  type Node,
  type PictureFilling,
  type PictureStyle,
} from "../../core/piece";
import type { NodeReport } from "../../core/preflight";
import { useLibrary } from "../stores/library";
import { usePiece } from "../stores/piece";
import { useSharedWall } from "../wall/wall-key";

/** A picture of the open piece as one size shows it. */
export interface ShownPicture {
  node: Node;
  filling: PictureFilling;
  file: PictureFile;
  report: NodeReport;
}

interface Options {
  /** The size on which it is looked at. */
  placement: () => string | undefined;
  /** What is changed is changed on this size only. */
  local: () => boolean;
}

export interface PictureStyling {
  /** The pictures that the size shows, back to front. */
  pictures: ComputedRef<ShownPicture[]>;
  styleOf(shown: ShownPicture): PictureStyle;
  zoomOf(shown: ShownPicture): number;
  /** By pixels of the picture, or larger about the middle of its frame. */
  move(shown: ShownPicture, by: Move): void;
  adjust(shown: ShownPicture, adjust: PictureStyle["adjust"]): void;
  /** The picture stands as its focus asks for again. */
  release(shown: ShownPicture): void;
}

/** Moves, enlarges and filters the pictures of the open piece, on one size or on all. */
export function usePictureStyle({ placement, local }: Options): PictureStyling {
  const open = usePiece();
  const library = useLibrary();
  const wall = useSharedWall();

  const pictures = computed(() => {
    const { piece } = open;
    const report = wall.reports.value.get(placement() ?? "");
    return (report?.nodes ?? []).flatMap((node): ShownPicture[] => {
      const found = piece?.arrangement.find(({ id, kind }) => id === node.id && kind === "picture");
      const filling = found?.slot === undefined ? undefined : piece?.message[found.slot];
      if (!found || !isPicture(filling) || !node.crop) return [];
      const file = library.pictures.find(({ id }) => id === filling.picture);
      return file ? [{ node: found, filling, file, report: node }] : [];
    });
  });

  const where = () => (local() ? { placement: placement()! } : {});
  const ownStyle = ({ node }: ShownPicture): PictureStyle =>
    pictureStyleOf(open.piece!, node.id, where().placement);
  /** What holds on this size: its own, and what all sizes have where it has none. */
  const styleOf = (shown: ShownPicture): PictureStyle => ({
    ...pictureStyleOf(open.piece!, shown.node.id),
    ...pictureStyleOf(open.piece!, shown.node.id, placement()),
  });

  function change(shown: ShownPicture, to: PictureStyle): void {
    const was = ownStyle(shown);
    open.change({ kind: "picture-style", node: shown.node.id, ...where(), to, was });
  }

  function move(shown: ShownPicture, by: Move): void {
    const { file, filling, report } = shown;
    const focus = focusArea(file, filling.focus ?? file.focus);
    const before = styleOf(shown).framing;
    // The report comes after the next layout; what was moved by hand is known at once.
    const byHand = before && (before.panX !== 0 || before.panY !== 0);
    const crop = byHand ? cropTo(file, report.box, focus, before) : report.crop!;
    const framing = Framing.parse({ ...before, ...movedIn(file, report.box, focus, crop, by) });
    change(shown, { ...ownStyle(shown), framing });
  }

  return {
    pictures,
    styleOf,
    zoomOf: (shown) => styleOf(shown).framing?.zoom ?? 1,
    move,
    adjust(shown, adjust) {
      const { adjust: _before, ...rest } = ownStyle(shown);
      change(shown, { ...rest, ...(adjust ? { adjust } : {}) });
    },
    release(shown) {
      const { framing: _before, ...rest } = ownStyle(shown);
      change(shown, rest);
    },
  };
}
