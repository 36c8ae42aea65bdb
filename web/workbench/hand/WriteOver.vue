<script setup lang="ts">
import { computed, onMounted, useTemplateRef } from "vue";
import { isText } from "../../../core/piece";
import { sampleStyle, typefaceName, useTypefaces } from "../../kit/use-typeface";
import { usePiece } from "../piece";
import { useHand } from "./hand";

/**
 * Words written where they stand: a field over them in the same type, of which only the caret and what is marked are seen.
 * The graphic beneath is laid out with each key. `scale` is CSS pixels for each output pixel.
 */
const props = defineProps<{ node: string; scale: number }>();
const emit = defineEmits<{ done: [] }>();

const open = usePiece();
const hand = useHand();
const field = useTemplateRef("field");

const shown = computed(() => hand.nodes.find(({ id }) => id === props.node));
const slot = computed(() => shown.value?.node.slot);
const text = computed(() => {
  const filling = slot.value === undefined ? undefined : open.piece?.message[slot.value];
  return isText(filling) ? filling.text : "";
});
const type = computed(() => shown.value?.report.type);
useTypefaces(() => (type.value ? [type.value.file] : []));

const style = computed(() => {
  if (!shown.value || !type.value) return {};
  const { file, axes, tracking, leading, upper, baseline } = type.value;
  const { report, node } = shown.value;
  const { fontSize = 0, lines = [], ink } = report;
  const size = fontSize * props.scale;
  const family = typefaceName(file);
  const px = (pixels: number): string => `${pixels * props.scale}px`;
  return {
    ...sampleStyle({
      faces: [{ file, axes: { ...axes } }],
      tracking,
      case: upper ? "upper" : "as-typed",
    }),
    // As wide as the words that are set, so that they break where the graphic breaks them.
    left: px(ink.x),
    top: `${baseline * props.scale - baselineIn(family, size, leading * size)}px`,
    width: `calc(${px(ink.width)} + 2px)`,
    // With room for what hangs below the last line, or the field would scroll to it.
    height: `${(lines.length * leading + HANGS) * size}px`,
    fontSize: `${size}px`,
    lineHeight: `${leading * size}px`,
    textAlign: node.style.align === "centre" ? ("center" as const) : node.style.align,
    rotate: `${report.turn ?? 0}deg`,
  };
});

/** Below the last line, in em. By eye. */
const HANGS = 0.6;

/** How far below the top of a line its baseline stands, in CSS pixels: letters stand in the middle of their line (CSS 2.2, 10.8.1). */
function baselineIn(family: string, size: number, line: number): number {
  const context = document.createElement("canvas").getContext("2d")!;
  context.font = `${size}px "${family}"`;
  const { fontBoundingBoxAscent: up, fontBoundingBoxDescent: down } = context.measureText("x");
  return line / 2 + (up - down) / 2;
}

function write(event: Event): void {
  const { value } = event.target as HTMLTextAreaElement;
  if (slot.value !== undefined) open.set(["message", slot.value, "text"], value);
}

/** What is typed is no command; undo is the piece's. */
function key(event: KeyboardEvent): void {
  if (event.key === "Escape") emit("done");
  const isUndo = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "z";
  if (!isUndo) event.stopPropagation();
}

onMounted(() => {
  field.value?.focus();
  field.value?.select();
});
</script>

<template>
  <textarea
    v-if="shown"
    ref="field"
    class="over"
    :value="text"
    :style="style"
    :aria-label="`${shown.name}, written where it stands`"
    @input="write"
    @blur="emit('done')"
    @keydown="key"
    @pointerdown.stop
    @dblclick.stop
  ></textarea>
</template>

<style scoped>
.over {
  position: absolute;
  padding: 0;
  overflow: hidden;
  border: 0;
  outline: none;
  background: none;
  color: transparent;
  caret-color: var(--zest);
  resize: none;
}

.over::selection {
  background: color-mix(in srgb, var(--zest) 35%, transparent);
}
</style>
