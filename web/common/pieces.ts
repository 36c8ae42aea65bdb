import { LRUCache } from "lru-cache";
import { shallowRef, watch, type ShallowRef } from "vue";
import type { ListedPiece } from "../../core/api";
import type { Piece } from "../../core/piece";
import { api } from "../api/client";

/** Lists have no more of a piece than they say; the whole of it is asked for where it is shown. */
const MOST = 200;
const pieces = new LRUCache<string, Promise<Piece>>({ max: MOST });

/** The whole piece as it was listed. One that could not be had is asked for again. */
function wholePiece({ id, revision }: ListedPiece): Promise<Piece> {
  const key = `${id} ${revision}`;
  let asked = pieces.get(key);
  if (!asked) {
    asked = api.piece(id).then(({ piece }) => piece);
    asked.catch(() => pieces.delete(key));
    pieces.set(key, asked);
  }
  return asked;
}

/** The whole of a listed piece, once it is there. It stays as it was until a newer one has come. */
export function usePieceOf(listed: () => ListedPiece | undefined): ShallowRef<Piece | undefined> {
  const piece = shallowRef<Piece>();
  watch(
    listed,
    async (wanted) => {
      if (!wanted || wanted.id !== piece.value?.id) piece.value = undefined;
      if (!wanted) return;
      const whole = await wholePiece(wanted).catch(() => undefined);
      if (whole && listed() === wanted) piece.value = whole;
    },
    { immediate: true },
  );
  return piece;
}
