import { watchDebounced } from "@vueuse/core";
import { defineStore } from "pinia";
import { computed, ref, shallowRef, watch } from "vue";
import type { BatchPlan, BatchRequest, ImageFormat, ResultsAnswer } from "../../../core/api";
import {
  batchSlots,
  lookColumnNamed,
  columnSlots,
  tableOfAlternatives,
  tableOfWords,
  type Condition,
  type LookNames,
  type Pairing,
  type Sample,
  type Table,
  type TableNote,
} from "../../../core/batch";
import type { Spread } from "../../../core/colour";
import { isPicture } from "../../../core/piece";
import { isStrip } from "../../../core/strip";
import { api } from "../../api/client";
import { useLibrary } from "../../common/library";
import { useTemplates } from "../../new-piece/templates";
import { usePiece } from "../piece";
import { useMadeBatches } from "./made";
import { varyingColumns, type BatchColumn } from "./varying";

/** The batch that is being set up for the open piece, and what it would make. */
export const useBatch = defineStore("batch", () => {
  const open = usePiece();
  const made = useMadeBatches();
  const library = useLibrary();
  const list = useTemplates();
  const table = shallowRef<Table>();
  const asRead = shallowRef<{ table: Table; notes: TableNote[] }>();
  /** What was said of a table when it was read holds as long as it is as it was. */
  const tableNotes = computed(() =>
    asRead.value && asRead.value.table === table.value ? asRead.value.notes : [],
  );
  const pairing = ref<Pairing>("in-step");
  const groups = ref<string[]>([]);
  const never = ref<Condition[]>([]);
  const sample = ref<Sample>("all");
  const alike = ref(true);
  const pictures = ref<string[]>([]);
  const spreads = ref<Spread[]>([]);
  /** Templates, and ways of using the kit's typefaces, by their ids. */
  const templates = ref<string[]>([]);
  const typefaces = ref<string[]>([]);
  const placements = ref<string[]>([]);
  const format = ref<ImageFormat>("jpeg");
  const scale = ref<1 | 2>(1);
  const plan = shallowRef<BatchPlan>();
  const failure = ref("");
  let beginning: { piece: string; next: ResultsAnswer["next"] } | undefined;

  /** What can vary, on all slides. */
  const slots = computed(() => (open.whole ? batchSlots(open.whole) : []));
  const pictureSlot = computed(() => slots.value.find(({ filling }) => isPicture(filling))?.name);
  /** The templates that can arrange the piece: of a strip, sets. */
  const arranging = computed(() => {
    const { whole } = open;
    return whole ? (isStrip(whole) ? list.carousels : list.graphics) : [];
  });
  /** What the columns of looks may name. */
  const looks = computed((): LookNames | undefined => {
    const { brand, placements: places } = open;
    return brand && { brand, templates: arranging.value, placements: places };
  });
  const request = computed<BatchRequest | undefined>(() => {
    const beside = [pictures, spreads, templates, typefaces];
    if (!table.value && beside.every(({ value }) => value.length === 0)) return undefined;
    const slot = pictureSlot.value;
    return {
      ...(table.value ? { table: table.value } : {}),
      pairing: pairing.value,
      groups: groups.value.length > 0 ? [groups.value] : [],
      never: never.value,
      sample: pairing.value === "in-step" ? "all" : sample.value,
      alike: alike.value,
      placements: placements.value,
      format: format.value,
      scale: scale.value,
      spreads: spreads.value,
      templates: templates.value,
      typefaces: typefaces.value,
      ...(slot && pictures.value.length > 0 ? { pictures: { slot, ids: pictures.value } } : {}),
    };
  });
  /** What the table's columns are for. */
  const matches = computed(() =>
    table.value
      ? columnSlots(table.value, slots.value, library.pictures, (one) => !!lookColumnNamed(one))
      : [],
  );
  const columns = computed<BatchColumn[]>(() => {
    if (!looks.value) return [];
    const beside = {
      slot: slots.value.find(({ name }) => name === pictureSlot.value),
      pictures: pictures.value,
      templates: templates.value,
      typefaces: typefaces.value,
      spreads: spreads.value,
    };
    return varyingColumns(table.value, matches.value, beside, looks.value, pictureName);
  });
  const pictureName = (id: string): string =>
    library.pictures.find((one) => one.id === id)?.name ?? "a picture";

  watch(
    () => open.piece?.id,
    () => {
      table.value = undefined;
      plan.value = undefined;
      pictures.value = [];
      spreads.value = [];
      templates.value = [];
      typefaces.value = [];
      groups.value = [];
      never.value = [];
      placements.value = (open.piece?.sizes ?? []).slice(0, 3).map((size) => size.placement);
      if (beginning && beginning.piece === open.piece?.id) {
        const { next } = beginning;
        beginning = undefined;
        table.value = next.table;
        pictures.value = next.pictures;
        spreads.value = next.spreads;
        templates.value = next.templates;
        typefaces.value = next.typefaces;
        pairing.value = "every-mix";
      }
    },
    { immediate: true },
  );
  watchDebounced(request, () => void count(), { debounce: 120 });

  /** When that piece is opened next, its batch begins with these values. */
  function beginWith(piece: string, next: ResultsAnswer["next"]): void {
    beginning = { piece, next };
  }

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
      asRead.value = answer;
      table.value = answer.table;
    } catch (error) {
      failure.value = (error as Error).message;
    }
  }

  /** The piece's own words are the first row. */
  function begin(): void {
    if (open.whole) table.value = tableOfWords(open.whole);
  }

  /** The wordings that the piece keeps, each with each of the others. */
  function takeAlternatives(): void {
    if (!open.whole) return;
    table.value = tableOfAlternatives(open.whole);
    pairing.value = "every-mix";
  }

  function clear(): void {
    table.value = undefined;
    plan.value = undefined;
    failure.value = "";
  }

  async function start(): Promise<void> {
    if (!request.value || !open.piece) return;
    failure.value = "";
    try {
      await open.save();
      await api.startBatch(open.piece.id, request.value);
      await made.refresh();
    } catch (error) {
      failure.value = (error as Error).message;
    }
  }

  return {
    table,
    tableNotes,
    pairing,
    groups,
    never,
    sample,
    alike,
    pictures,
    spreads,
    templates,
    typefaces,
    arranging,
    looks,
    columns,
    slots,
    matches,
    placements,
    format,
    scale,
    plan,
    failure,
    pictureSlot,
    beginWith,
    read,
    begin,
    takeAlternatives,
    clear,
    start,
  };
});
