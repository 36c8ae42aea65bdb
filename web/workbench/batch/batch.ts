import { watchDebounced } from "@vueuse/core";
import { defineStore } from "pinia";
import { computed, ref, shallowRef, watch } from "vue";
import {
  type BatchAnswer,
  type BatchPlan,
  type BatchRequest,
  type ImageFormat,
  type ResultsAnswer,
} from "../../../core/api";
import {
  batchSlots,
  knownIn,
  lookColumnNamed,
  columnSlots,
  tableOfAlternatives,
  tableOfWords,
  type Condition,
  type LookColumn,
  type LookNames,
  type Pairing,
  type Sample,
  type Table,
  type TableNote,
} from "../../../core/batch";
import { spreadName, type Brand } from "../../../core/brand";
import type { Spread } from "../../../core/colour";
import { slotName } from "../../../core/message";
import { isPicture } from "../../../core/piece";
import { isStrip } from "../../../core/strip";
import { api } from "../../api/client";
import type { BatchTurn } from "../../common/job-states";
import { useLibrary } from "../../common/library";
import { useTemplates } from "../../new-piece/templates";
import { usePiece } from "../piece";
import { useToasts } from "../../common/toasts";

/** What varies: its different values, as conditions name them and as they are read. */
export interface BatchColumn {
  name: string;
  label: string;
  values: { key: string; label: string }[];
}

/** The batch that is being set up for the open piece, what it would make, and the batches made before. */
export const useBatch = defineStore("batch", () => {
  const open = usePiece();
  const toasts = useToasts();
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
  const batches = shallowRef<BatchAnswer[]>([]);
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
  /** All that varies, in the order in which it is mixed. */
  const columns = computed<BatchColumn[]>(() => {
    const { brand } = open;
    if (!brand) return [];
    const beside = besideTable(brand);
    const ofTable = (table.value?.columns ?? []).flatMap((heading, at) => {
      const name = matches.value[at]?.slot?.name ?? lookColumnNamed(heading);
      if (!name || beside.some((one) => one.name === name)) return [];
      const cells = new Set(table.value!.rows.map((row) => row[at]?.trim() ?? ""));
      const values = [...cells].filter(Boolean).map((cell) => ({ key: cell, label: cell }));
      return [{ name, label: slotName(name), values }];
    });
    return [...ofTable, ...beside];
  });

  /** What is chosen beside the table. */
  function besideTable(brand: Brand): BatchColumn[] {
    const named = (id: string): string =>
      library.pictures.find((one) => one.id === id)?.name ?? "a picture";
    const slot = slots.value.find(({ name }) => name === pictureSlot.value);
    const ofPictures =
      slot && pictures.value.length > 0
        ? [
            {
              name: slot.name,
              label: slotName(slot.name),
              values: pictures.value.map((id) => ({ key: id, label: named(id) })),
            },
          ]
        : [];
    const labelled = (column: LookColumn, keys: readonly string[]): BatchColumn => ({
      name: column,
      label: slotName(column),
      values: keys.map((key) => ({ key, label: nameOf(column, key) })),
    });
    const ofSpreads: BatchColumn = {
      name: "spread",
      label: slotName("spread"),
      values: spreads.value.map((spread, index) => ({
        key: String(index + 1),
        label: spreadName(brand, spread),
      })),
    };
    return [
      ...ofPictures,
      labelled("template", templates.value),
      labelled("typefaces", typefaces.value),
      ofSpreads,
    ].filter(({ values }) => values.length > 0);
  }

  const nameOf = (column: LookColumn, id: string): string =>
    (looks.value && knownIn(column, looks.value).find((one) => one.id === id)?.name) ?? id;

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
      batches.value = [];
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
      await refresh();
    } catch (error) {
      failure.value = (error as Error).message;
    }
  }

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
    batches,
    pictureSlot,
    beginWith,
    read,
    begin,
    takeAlternatives,
    clear,
    start,
    refresh,
    told,
    turn,
    remove,
  };
});
