import { watchDebounced } from "@vueuse/core";
import { defineStore } from "pinia";
import { computed, ref, shallowRef, watch } from "vue";
import {
  isUnderWay,
  type BatchAnswer,
  type BatchPlan,
  type BatchRequest,
  type ImageFormat,
} from "../../../core/api";
import { tableOfAlternatives, type Pairing, type Table, type TableNote } from "../../../core/batch";
import { isPicture } from "../../../core/piece";
import { api } from "../../api/client";
import { usePiece } from "../piece";
import { useToasts } from "../../common/toasts";

const ASK_EVERY = 400;

/** The batch that is being set up for the open piece, what it would make, and the batches made before. */
export const useBatch = defineStore("batch", () => {
  const open = usePiece();
  const toasts = useToasts();
  const table = shallowRef<Table>();
  const tableNotes = shallowRef<TableNote[]>([]);
  const pairing = ref<Pairing>("in-step");
  const alike = ref(true);
  const pictures = ref<string[]>([]);
  const placements = ref<string[]>([]);
  const format = ref<ImageFormat>("jpeg");
  const scale = ref<1 | 2>(1);
  const plan = shallowRef<BatchPlan>();
  const failure = ref("");
  const batches = shallowRef<BatchAnswer[]>([]);
  let timer: ReturnType<typeof setTimeout> | undefined;

  const pictureSlot = computed(
    () => Object.entries(open.piece?.message ?? {}).find(([, filling]) => isPicture(filling))?.[0],
  );
  const request = computed<BatchRequest | undefined>(() => {
    if (!table.value) return undefined;
    const slot = pictureSlot.value;
    return {
      table: table.value,
      pairing: pairing.value,
      alike: alike.value,
      placements: placements.value,
      format: format.value,
      scale: scale.value,
      ...(slot && pictures.value.length > 0 ? { pictures: { slot, ids: pictures.value } } : {}),
    };
  });

  watch(
    () => open.piece?.id,
    () => {
      table.value = undefined;
      tableNotes.value = [];
      plan.value = undefined;
      pictures.value = [];
      batches.value = [];
      placements.value = (open.piece?.sizes ?? []).slice(0, 3).map((size) => size.placement);
    },
    { immediate: true },
  );
  watchDebounced(request, () => void count(), { debounce: 120 });

  /** What would be made, counted by the server; a problem with the table shows in its place. */
  async function count(): Promise<void> {
    failure.value = "";
    if (!request.value || !open.piece) {
      plan.value = undefined;
      return;
    }
    try {
      plan.value = await api.planBatch(open.piece.id, request.value);
    } catch (error) {
      plan.value = undefined;
      failure.value = (error as Error).message;
    }
  }

  async function read(source: File | string): Promise<void> {
    failure.value = "";
    try {
      const answer =
        typeof source === "string" ? await api.tableText(source) : await api.tableFile(source);
      table.value = answer.table;
      tableNotes.value = answer.notes;
    } catch (error) {
      failure.value = (error as Error).message;
    }
  }

  /** The wordings that the piece keeps, each with each of the others. */
  function takeAlternatives(): void {
    if (!open.piece) return;
    table.value = tableOfAlternatives(open.piece);
    tableNotes.value = [];
    pairing.value = "every-mix";
  }

  function clear(): void {
    table.value = undefined;
    tableNotes.value = [];
    plan.value = undefined;
    failure.value = "";
  }

  async function start(): Promise<void> {
    if (!request.value || !open.piece) return;
    failure.value = "";
    try {
      await open.save();
      await api.startBatch(open.piece.id, request.value);
      await refresh();
    } catch (error) {
      failure.value = (error as Error).message;
    }
  }

  /** Asks again while something is being made. */
  async function refresh(): Promise<void> {
    clearTimeout(timer);
    const id = open.piece?.id;
    if (!id) return;
    const answer = await api.batches(id).catch(() => undefined);
    if (open.piece?.id !== id) return;
    if (answer) batches.value = answer.batches;
    const more = batches.value.some(({ state }) => isUnderWay(state));
    if (more) timer = setTimeout(() => void refresh(), ASK_EVERY);
  }

  async function turn(id: string, to: "cancel" | "resume"): Promise<void> {
    await api.turnBatch(id, to).catch(toasts.fail);
    await refresh();
  }

  async function remove(id: string): Promise<void> {
    await api.remove("batch", id).catch(toasts.fail);
    await refresh();
  }

  return {
    table,
    tableNotes,
    pairing,
    alike,
    pictures,
    placements,
    format,
    scale,
    plan,
    failure,
    batches,
    pictureSlot,
    read,
    takeAlternatives,
    clear,
    start,
    refresh,
    turn,
    remove,
  };
});
