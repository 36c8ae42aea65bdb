<script setup lang="ts">
import {
  EditModule,
  FormatModule,
  FrozenColumnsModule,
  InteractionModule,
  KeybindingsModule,
  ResizeColumnsModule,
  SelectRangeModule,
  Tabulator,
  type CellComponent,
} from "tabulator-tables";
import "tabulator-tables/dist/css/tabulator_simple.min.css";
import { useEventListener } from "@vueuse/core";
import { onBeforeUnmount, onMounted, useTemplateRef, watch } from "vue";
import { grid, type Table } from "../../../core/batch";

/**
 * A table that is worked on in place: by cell, or by blocks that are copied, pasted, filled down and cleared. What is
 * done to it leaves as another table; the grid shows what comes back.
 */
const props = defineProps<{ table: Table; height: number }>();
const emit = defineEmits<{
  change: [table: Table];
  undo: [];
  redo: [];
  /** The block that is selected. */
  select: [block: grid.Block];
}>();

Tabulator.registerModule([
  EditModule,
  FormatModule,
  FrozenColumnsModule,
  InteractionModule,
  KeybindingsModule,
  ResizeColumnsModule,
  SelectRangeModule,
]);

type Row = Record<string, string | number>;

/** To change more rows one by one takes longer than to put down all of them. */
const MOST_UPDATED = 50;

const host = useTemplateRef("host");
let shown: Tabulator | undefined;
let ready = false;

const fieldOf = (column: number): string => `c${column}`;
const rowOf = (cells: readonly string[], row: number): Row => ({
  row,
  ...Object.fromEntries(props.table.columns.map((_, at) => [fieldOf(at), cells[at] ?? ""])),
});
const columns = () =>
  props.table.columns.map((title, column) => ({
    title: title || "no heading",
    field: fieldOf(column),
    editor: "input" as const,
    headerSort: false,
    resizable: "header" as const,
    minWidth: 110,
  }));

onMounted(() => {
  shown = new Tabulator(host.value!, {
    data: props.table.rows.map(rowOf),
    index: "row",
    columns: columns(),
    rowHeader: {
      title: "#",
      formatter: (cell: CellComponent) => String((cell.getData() as { row: number }).row + 1),
      headerSort: false,
      resizable: false,
      frozen: true,
      width: 52,
      hozAlign: "right",
      headerHozAlign: "right",
    },
    layout: "fitColumns",
    maxHeight: props.height,
    selectableRange: 1,
    // Who came by a button goes on from there.
    selectableRangeAutoFocus: false,
    selectableRangeColumns: true,
    selectableRangeRows: true,
    editTriggerEvent: "dblclick",
  } as never);
  shown.on("tableBuilt", () => {
    ready = true;
    tell();
  });
  shown.on("cellEdited", (cell) => {
    const { row } = cell.getData() as { row: number };
    const column = Number(cell.getField().slice(1));
    emit("change", grid.withCell(props.table, row, column, String(cell.getValue() ?? "")));
  });
  shown.on("rangeChanged", () => {
    const block = selected();
    if (block) emit("select", block);
  });
});
onBeforeUnmount(() => shown?.destroy());

watch(
  () => props.table,
  async (now, before) => {
    if (!shown || !ready) return;
    if (now.columns.join("\n") !== before.columns.join("\n")) shown.setColumns(columns());
    // What stays keeps its place on the screen and stays selected.
    const isAsLong = now.rows.length === before.rows.length;
    const changed = isAsLong
      ? now.rows.flatMap((cells, row) => (cells === before.rows[row] ? [] : [rowOf(cells, row)]))
      : [];
    if (isAsLong && changed.length <= MOST_UPDATED) {
      if (changed.length > 0) await shown.updateData(changed);
    } else {
      const block = selected();
      await shown.replaceData(now.rows.map(rowOf));
      if (block) selectAgain(block);
    }
  },
);

function selected(): grid.Block | undefined {
  const range = shown?.getRanges()[0];
  const rows = range?.getRows().map((row) => (row.getData() as { row: number }).row) ?? [];
  const at = range?.getColumns().flatMap((column) => {
    const field = column.getField();
    return field ? [Number(field.slice(1))] : [];
  });
  if (rows.length === 0 || !at?.length) return undefined;
  return { row: Math.min(...rows), rows: rows.length, column: at[0]!, columns: at.length };
}

/** The package's grid takes the keyboard in a part that has no role; here it is the group of rows (WAI-ARIA 1.2, grid). */
function tell(): void {
  const role = (selector: string, name: string) =>
    host.value?.querySelector(selector)?.setAttribute("role", name);
  role(".tabulator-tableholder", "rowgroup");
  role(".tabulator-table", "presentation");
  host.value?.removeAttribute("aria-owns");
}

function selectAgain({ row, rows, column, columns: wide }: grid.Block): void {
  const cellAt = (down: number, across: number) =>
    shown?.getRow(Math.min(down, props.table.rows.length - 1)).getCell(fieldOf(across));
  const [first, last] = [cellAt(row, column), cellAt(row + rows - 1, column + wide - 1)];
  if (first && last) shown?.getRanges()[0]?.setBounds(first, last);
}

/** The clipboard goes to where the page's selection is, which is not where the keyboard is. */
const isHere = (event: Event): boolean =>
  host.value?.contains(document.activeElement) === true && !isWriting(event);

const isWriting = (event: Event): boolean =>
  [event.target, document.activeElement].some((one) => one instanceof HTMLInputElement);

function change(by: (table: Table, block: grid.Block) => Table): void {
  const block = selected();
  if (block) emit("change", by(props.table, block));
}

function copy(event: ClipboardEvent): void {
  const block = selected();
  if (!isHere(event) || !block) return;
  event.preventDefault();
  event.clipboardData?.setData("text/plain", grid.copied(props.table, block));
  if (event.type === "cut") change(grid.cleared);
}

function paste(event: ClipboardEvent): void {
  const text = event.clipboardData?.getData("text/plain");
  if (!isHere(event) || !text) return;
  event.preventDefault();
  change((table, block) => grid.pasted(table, block, text));
}

useEventListener(document, ["copy", "cut"], copy);
useEventListener(document, "paste", paste);

/** Keys that spreadsheets have; those for moving about and for writing are the package's. */
function press(event: KeyboardEvent): void {
  if (isWriting(event)) return;
  const key = event.key.toLowerCase();
  if (event.ctrlKey || event.metaKey) {
    if (key === "z") act(event, () => (event.shiftKey ? emit("redo") : emit("undo")));
    else if (key === "y") act(event, () => emit("redo"));
    else if (key === "d") act(event, () => change(grid.filledDown));
  } else if (key === "delete" || key === "backspace") act(event, () => change(grid.cleared));
  else if (key === "f2") act(event, () => write());
  else if (key.length === 1 && !event.altKey) act(event, () => write(event.key));
}

function act(event: KeyboardEvent, what: () => void): void {
  event.preventDefault();
  event.stopPropagation();
  what();
}

/** Writes into the first cell that is selected; what is typed takes the place of what was there. */
function write(text?: string): void {
  // Row by row, whatever the package's types say.
  const cells = shown?.getRanges()[0]?.getCells() as unknown as CellComponent[][] | undefined;
  const first = cells?.[0]?.[0];
  first?.edit();
  const field = first?.getElement().querySelector("input");
  if (field && text !== undefined) field.value = text;
}
</script>

<template>
  <div class="grid" @keydown.capture="press">
    <div ref="host" aria-label="Rows of the table"></div>
  </div>
</template>

<style scoped>
.grid :deep(.tabulator) {
  border: 1px solid var(--line);
  background: var(--card);
  color: var(--ink);
  font-size: 13px;
}

.grid :deep(.tabulator-header),
.grid :deep(.tabulator-header .tabulator-col) {
  border-color: var(--line);
  background: var(--card);
  color: var(--ink);
  font-weight: 650;
}

.grid :deep(.tabulator-row),
.grid :deep(.tabulator-row .tabulator-cell) {
  min-height: 30px;
  border-color: var(--line);
  background: var(--card);
  color: var(--ink);
}

.grid :deep(.tabulator-row .tabulator-row-header) {
  color: var(--quiet);
}

.grid :deep(.tabulator-tableholder .tabulator-range-overlay .tabulator-range),
.grid :deep(.tabulator-tableholder .tabulator-range-overlay .tabulator-range-cell-active) {
  border-color: var(--leaf);
}

.grid
  :deep(
    .tabulator-tableholder .tabulator-range-overlay .tabulator-range.tabulator-range-active::after
  ) {
  background: var(--leaf);
}
</style>
