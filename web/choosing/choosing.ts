import { useLocalStorage, useThrottleFn } from "@vueuse/core";
import { groups as grouped } from "d3-array";
import { defineStore } from "pinia";
import { computed, ref, shallowRef } from "vue";
import { isUnderWay, type ContactSheet, type SheetVariation, type Verdict } from "../../core/api";
import {
  byCriterion,
  CRITERIA,
  frontRunners,
  scores,
  sharedCriteria,
  whyFirst,
  type Criterion,
  type Ranked,
} from "../../core/choosing";
import { api } from "../api/client";
import { useToasts } from "../common/toasts";

/** Which variations are shown, by what was decided of them. */
export type Showing = "all" | "open" | Verdict;
/** As they were made, by one criterion, or by all with weights. */
export type Order = "made" | "weights" | Criterion;

export interface SheetGroup {
  /** The value that they share; empty when they are not grouped. */
  title: string;
  variations: SheetVariation[];
}

/** So many are held side by side. */
export const MOST_COMPARED = 4;
/** While it moves, all of it is asked for at most so often, in milliseconds. */
const ASK_EVERY = 1000;

/** The contact sheet that is open: its variations, in what order and which of them, and what is decided. */
export const useChoosing = defineStore("choosing", () => {
  const toasts = useToasts();
  const id = ref("");
  const sheet = shallowRef<ContactSheet>();
  const failure = ref("");
  const showing = ref<Showing>("all");
  const order = ref<Order>("made");
  const groupBy = ref("");
  const weights = useLocalStorage<Record<Criterion, number>>("choosing-weights", {
    legibility: 1,
    contrast: 1,
    headline: 2,
    picture: 1,
    action: 2,
    clutter: 0,
    balance: 0,
    distinctness: 1,
  });
  const current = ref<number>();
  const compared = ref<number[]>([]);
  /** Counts what was decided, when it is shown and when it is written down. */
  let marks = 0;
  let unwritten = 0;

  const all = computed(() => sheet.value?.variations ?? []);
  const measured = computed<Ranked[]>(() =>
    all.value.flatMap(({ index, marks }) => (marks ? [{ index, marks }] : [])),
  );
  const criteria = computed(() => sharedCriteria(measured.value));
  const used = computed(() =>
    order.value === "weights"
      ? criteria.value.filter((one) => weights.value[one] > 0)
      : criteria.value,
  );
  const front = computed(() => frontRunners(measured.value, used.value));
  const points = computed(() => {
    const found = scores(measured.value, weights.value);
    return new Map(measured.value.map(({ index }, at) => [index, found[at]!]));
  });
  const nameOf = (index: number): string => all.value[index]?.name ?? "";
  const why = computed(() =>
    order.value === "made"
      ? undefined
      : whyFirst(measured.value, order.value === "weights" ? weights.value : order.value, nameOf),
  );

  const counts = computed(() => {
    const of = (verdict?: Verdict): number =>
      all.value.filter((one) => one.verdict === verdict).length;
    return {
      all: all.value.length,
      open: of(),
      keep: of("keep"),
      maybe: of("maybe"),
      drop: of("drop"),
    };
  });
  const ordered = computed<SheetVariation[]>(() => {
    const { value } = order;
    if (value === "made") return all.value;
    const rows = all.value.map((one) => ({ ...one, marks: one.marks ?? NO_MARKS }));
    const sorted =
      value === "weights"
        ? rows.sort((a, b) => (points.value.get(b.index) ?? -1) - (points.value.get(a.index) ?? -1))
        : byCriterion(rows, value);
    return sorted.map(({ index }) => all.value[index]!);
  });
  const shown = computed(() =>
    ordered.value.filter(
      ({ verdict }) => showing.value === "all" || (verdict ?? "open") === showing.value,
    ),
  );
  const groups = computed<SheetGroup[]>(() => {
    const column = groupBy.value;
    if (!column) return [{ title: "", variations: shown.value }];
    return grouped(shown.value, ({ values }) => values[column] ?? "").map(
      ([title, variations]) => ({ title: title || "The piece's own", variations }),
    );
  });
  /** As they stand on the page. */
  const inOrder = computed(() => groups.value.flatMap(({ variations }) => variations));
  const selected = computed(() => all.value.find(({ index }) => index === current.value));

  /** What a tile says of the order that it stands in. */
  function saidOf(one: SheetVariation): string {
    if (order.value === "made") return "";
    if (order.value === "weights")
      return `${Math.round(100 * (points.value.get(one.index) ?? 0))} of 100`;
    const value = one.marks?.[order.value];
    return value === undefined ? "not measured" : CRITERIA[order.value].say(value);
  }

  async function open(batch: string, placement?: string): Promise<void> {
    if (batch !== id.value) {
      Object.assign(sheet, { value: undefined });
      showing.value = "all";
      groupBy.value = "";
      current.value = undefined;
      compared.value = [];
    }
    id.value = batch;
    failure.value = "";
    const known = marks;
    try {
      const answer = await api.contactSheet(batch, placement);
      if (id.value !== batch) return;
      // What was decided meanwhile may not be in it.
      if (unwritten > 0 || marks !== known) return await open(batch, placement);
      sheet.value = answer;
      current.value ??= answer.variations[0]?.index;
    } catch (error) {
      failure.value = (error as Error).message;
    }
  }

  /** As it is now. */
  async function refresh(): Promise<void> {
    if (id.value) await open(id.value, sheet.value?.placement);
  }

  /** Whether more of it is to come. */
  const isMoving = computed(() => {
    const { batch, measuring = 0 } = sheet.value ?? {};
    return measuring > 0 || (batch !== undefined && isUnderWay(batch.state));
  });

  /** Something of it has been made, measured or come to an end. */
  const moved = useThrottleFn(refresh, ASK_EVERY, true);

  /** What would come out otherwise now; the sheet shows it as it comes. */
  async function makeAgain(): Promise<void> {
    await api.turnBatch(id.value, "again").catch(toasts.fail);
    await refresh();
  }

  function close(): void {
    id.value = "";
  }

  /** Shown at once; put back when it cannot be written down. */
  async function change(
    index: number,
    mark: { verdict?: Verdict | null; note?: string },
  ): Promise<void> {
    const before = sheet.value?.variations[index];
    if (!before) return;
    const { verdict, note } = { ...before, ...mark };
    marks++;
    unwritten++;
    put({ ...before, verdict: verdict ?? undefined, note: note || undefined });
    try {
      await api.markVariation(id.value, index, mark);
    } catch (error) {
      put(before);
      toasts.fail(error);
    } finally {
      marks++;
      unwritten--;
    }
  }

  function put(variation: SheetVariation): void {
    if (!sheet.value) return;
    const variations = sheet.value.variations.with(variation.index, variation);
    sheet.value = { ...sheet.value, variations };
  }

  /** Decides of the current one and goes on to the next; the same again takes it back. */
  function decide(verdict: Verdict): void {
    const one = selected.value;
    if (!one) return;
    const next = stepFrom(1);
    const isSame = one.verdict === verdict;
    void change(one.index, { verdict: isSame ? null : verdict });
    if (!isSame && next !== undefined) current.value = next;
  }

  function stepFrom(by: number): number | undefined {
    const at = inOrder.value.findIndex(({ index }) => index === current.value);
    const to = Math.min(inOrder.value.length - 1, Math.max(0, at + by));
    return inOrder.value[to]?.index;
  }

  function walk(by: number): void {
    current.value = stepFrom(by) ?? current.value;
  }

  function compare(index: number): void {
    const without = compared.value.filter((one) => one !== index);
    compared.value =
      without.length < compared.value.length
        ? without
        : [...compared.value, index].slice(-MOST_COMPARED);
  }

  return {
    id,
    sheet,
    failure,
    showing,
    order,
    groupBy,
    weights,
    current,
    compared,
    all,
    criteria,
    front,
    why,
    counts,
    shown,
    groups,
    selected,
    nameOf,
    saidOf,
    open,
    isMoving,
    moved,
    makeAgain,
    close,
    change,
    decide,
    walk,
    compare,
  };
});

/** Of what is not measured yet: it stands last. */
const NO_MARKS = { clutter: NaN, balance: NaN } as const;
