import { useTimeoutFn } from "@vueuse/core";
import { shallowRef, type ShallowRef } from "vue";
import type { Piece } from "../../../core/piece";

/** What the pointer only passes over is not shown, in milliseconds. */
const REST = 120;

interface Pointed {
  /** The piece that is pointed at, with the pointer or the focus. */
  pointed: ShallowRef<Piece | undefined>;
  point(piece: Piece): void;
  leave(): void;
}

/** Which of several looks a person looks at, before one is taken. */
export function usePointed(): Pointed {
  const pointed = shallowRef<Piece>();
  let next: Piece | undefined;
  const { start, stop } = useTimeoutFn(() => (pointed.value = next), REST, { immediate: false });
  return {
    pointed,
    point(piece) {
      next = piece;
      start();
    },
    leave() {
      stop();
      pointed.value = undefined;
    },
  };
}
