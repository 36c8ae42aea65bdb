import {
  grouped,
  groupsOf,
  layered,
  ordered,
  renamedGroup,
  ungrouped,
  withMembers,
  type Toward,
} from "../../../core/arranging";
import type { Piece } from "../../../core/piece";
import type { Work } from "./work";

interface Layers {
  /** Nearer to the front or the back. */
  layer(to: Toward): void;
  /** One node right in front of another; behind all where there is no other. */
  order(id: string, after: string | undefined): void;
  group(): void;
  ungroup(): void;
  renameGroup(from: string, to: string): void;
  /** Some nodes with all that are in their groups. */
  members(ids: readonly string[]): string[];
  /** The groups that are selected. */
  groups(): string[];
}

/** What lies in front of what, and what belongs together: the same on all sizes, so it is changed on the lead. */
export function useLayers(work: Work): Layers {
  function onLead(change: (piece: Piece) => Piece): void {
    if (work.on())
      return work.tell("Order and groups are the same on all sizes; change them on the lead.");
    work.make(change);
  }

  return {
    layer: (to) => onLead((piece) => layered(piece, work.selected(), to)),
    order: (id, after) => onLead((piece) => ordered(piece, id, after)),
    group: () => onLead((piece) => grouped(piece, work.selected())),
    ungroup: () => onLead((piece) => ungrouped(piece, work.selected())),
    renameGroup(from, to) {
      const name = to.trim().slice(0, 60);
      if (name && name !== from) onLead((piece) => renamedGroup(piece, from, name));
    },
    members(ids) {
      const piece = work.base();
      return piece ? withMembers(piece, ids) : [...ids];
    },
    groups() {
      const piece = work.base();
      return piece ? groupsOf(piece, work.selected()) : [];
    },
  };
}
