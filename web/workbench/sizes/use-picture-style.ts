import { computed, type ComputedRef } from "vue";
import type { ListedPicture } from "../../../core/files";
import type { Point } from "../../../core/geometry";
import { cropTo, movedIn, subjectOf } from "../../../core/picture";
import {
  Framing,
  isPicture,
  pictureStyleOf,
  type Node,
  type PictureFilling,
  type PictureStyle,
} from "../../../core/piece";
import type { NodeReport } from "../../../core/preflight";
import { useLibrary } from "../../common/library";
import { usePiece } from "../piece";
import { useSharedWall } from "../../wall/wall-key";

/** A picture of the open piece as one size shows it. */
export interface ShownPicture {
  node: Node;
  filling: PictureFilling;
  file: ListedPicture;
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
  /** Whether the size has a style of its own for one of them. */
  isLocal: ComputedRef<boolean>;
  styleOf(shown: ShownPicture): PictureStyle;
  /** From 1, where it just fills its frame. */
  zoomOf(shown: ShownPicture): number;
  zoomTo(shown: ShownPicture, zoom: number): void;
  /** By pixels of the picture. */
  move(shown: ShownPicture, by: Point): void;
  adjust(shown: ShownPicture, adjust: PictureStyle["adjust"]): void;
  /** The picture stands as its subject asks for again. */
  release(shown: ShownPicture): void;
}

/** Larger than this and hardly anything of a picture is seen. */
export const MOST_ZOOM = 4;

/** Moves, enlarges and filters the pictures of the open piece, on one size or on all. */
export function usePictureStyle({ placement, local }: Options): PictureStyling {
  const open = usePiece();
  const library = useLibrary();
  const wall = useSharedWall();

  const pictures = computed(() => {
    const { piece } = open;
    const report = wall.reports.value.get(placement() ?? "");
    return (report?.nodes ?? []).flatMap((node): ShownPicture[] => {
      const found = piece?.arrangement.find(
        ({ id, kind, strip }) => id === node.id && kind === "picture" && !strip,
      );
      const filling = found?.slot === undefined ? undefined : piece?.message[found.slot];
      if (!found || !isPicture(filling) || !node.crop) return [];
      const file = library.pictures.find(({ id }) => id === filling.picture);
      return file ? [{ node: found, filling, file, report: node }] : [];
    });
  });

  const where = () => (local() ? { placement: placement()! } : {});
  const ownStyle = ({ node }: ShownPicture): PictureStyle =>
    pictureStyleOf(open.piece!, node.id, where().placement);
  /** What all sizes have; where one size is changed, what holds on it: its own before that. */
  const styleOf = (shown: ShownPicture): PictureStyle => ({
    ...pictureStyleOf(open.piece!, shown.node.id),
    ...ownStyle(shown),
  });
  const isLocal = computed(() =>
    pictures.value.some(
      ({ node }) => Object.keys(pictureStyleOf(open.piece!, node.id, placement())).length > 0,
    ),
  );

  function put({ node }: ShownPicture, field: "framing" | "adjust", to: object | null): void {
    const { placement: on } = where();
    open.set(
      on === undefined
        ? ["arrangement", node.id, "style", field]
        : ["sizes", on, "changes", node.id, "style", field],
      to,
    );
  }

  function frame(shown: ShownPicture, to: Partial<Framing>): void {
    const framing = Framing.parse({ ...styleOf(shown).framing, ...to });
    put(shown, "framing", framing);
  }

  function move(shown: ShownPicture, by: Point): void {
    const { file, filling, report } = shown;
    const subject = subjectOf(file, filling.areas ?? file.areas);
    const { framing } = styleOf(shown);
    // The report comes after the next layout; what was framed by hand is known at once.
    const crop = framing ? cropTo(file, report.box, subject, framing) : report.crop!;
    frame(shown, movedIn(file, report.box, subject, crop, by));
  }

  return {
    pictures,
    isLocal,
    styleOf,
    zoomOf: (shown) => styleOf(shown).framing?.zoom ?? 1,
    zoomTo: (shown, zoom) => frame(shown, { zoom: Math.min(MOST_ZOOM, Math.max(1, zoom)) }),
    move,
    adjust: (shown, adjust) => put(shown, "adjust", adjust ?? null),
    release: (shown) => put(shown, "framing", null),
  };
}
