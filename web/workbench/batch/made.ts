import { defineStore } from "pinia";
import { shallowRef, watch } from "vue";
import type { BatchAnswer } from "../../../core/api";
import { api } from "../../api/client";
import type { BatchTurn } from "../../common/job-states";
import { useToasts } from "../../common/toasts";
import { usePiece } from "../piece";

/** The batches that were made of the open piece, or are being made. */
export const useMadeBatches = defineStore("made-batches", () => {
  const open = usePiece();
  const toasts = useToasts();
  const batches = shallowRef<BatchAnswer[]>([]);

  watch(
    () => open.piece?.id,
    () => (batches.value = []),
  );

  async function refresh(): Promise<void> {
    const id = open.piece?.id;
    if (!id) return;
    const answer = await api.batches(id).catch(() => undefined);
    if (answer && open.piece?.id === id) batches.value = answer.batches;
  }

  /** How far one of them is now. */
  function told(now: BatchAnswer): void {
    if (now.piece !== open.piece?.id) return;
    const isKnown = batches.value.some(({ id }) => id === now.id);
    batches.value = isKnown
      ? batches.value.map((one) => (one.id === now.id ? now : one))
      : [now, ...batches.value];
  }

  async function turn(id: string, to: BatchTurn | "again"): Promise<void> {
    await api.turnBatch(id, to).catch(toasts.fail);
    await refresh();
  }

  async function remove(id: string): Promise<void> {
    await api.remove("batch", id).catch(toasts.fail);
    await refresh();
  }

  return { batches, refresh, told, turn, remove };
});
