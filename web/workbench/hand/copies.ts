import { StorageSerializers, useLocalStorage } from "@vueuse/core";
import { shallowRef } from "vue";
import { changed, Clip, clipOf, duplicated, pasted, styleFor } from "../../../core/arranging";
import type { Node, Piece } from "../../../core/piece";
import type { Work } from "./work";

interface Copies {
  duplicate(): void;
  copy(): void;
  paste(): void;
  copyStyle(): void;
  pasteStyle(): void;
}

/** Nodes are duplicated, copied between pieces and windows, and look like others. */
export function useCopies(work: Work): Copies {
  /** It is there in other windows too. */
  const clip = useLocalStorage<unknown>("nodes-copied", null, {
    serializer: StorageSerializers.object,
  });
  const look = shallowRef<Node>();

  /** What comes in stands on all sizes; so it comes in on the lead. */
  function bringIn(how: (piece: Piece) => { piece: Piece; ids: string[] } | undefined): void {
    if (work.on()) return work.tell("Copies stand on all sizes; make them on the lead.");
    const piece = work.base();
    const made = piece && how(piece);
    if (made) work.comes(made);
  }

  return {
    duplicate: () => bringIn((piece) => duplicated(piece, work.selected(), work.aside())),
    copy() {
      const piece = work.base();
      const made = piece && clipOf(piece, work.selected());
      if (made) clip.value = made;
    },
    paste() {
      const read = Clip.safeParse(clip.value);
      if (read.success) bringIn((piece) => pasted(piece, read.data, work.aside()));
    },
    copyStyle: () => (look.value = work.movable()[0]?.node),
    pasteStyle() {
      const from = look.value;
      if (!from) return;
      work.make((piece) =>
        work
          .movable()
          .reduce(
            (done, { id, node }) => changed(done, [id], { style: styleFor(from, node) }, work.on()),
            piece,
          ),
      );
    },
  };
}
