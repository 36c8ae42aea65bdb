<script setup lang="ts">
import { NCheckbox } from "naive-ui";
import { computed } from "vue";
import type { Node, Pin } from "../../../core/piece";
import { nodeName } from "../../../core/wording/nodes";
import { asOptions, type Option } from "../../ui/options";
import SelectField from "../../ui/SelectField.vue";
import { usePiece } from "../piece";
import { useHand } from "./hand";

/** What becomes of the one that is selected on the other sizes, in words that can be chosen. */
const hand = useHand();
const open = usePiece();
const node = computed(() => (hand.chosen.length === 1 ? hand.chosen[0]!.node : undefined));

const CORNERS = [
  "top left",
  "top centre",
  "top right",
  "middle left",
  "middle right",
  "bottom left",
  "bottom centre",
  "bottom right",
] as const;
type Corner = (typeof CORNERS)[number];
const pinOf = (corner: Corner): Pin => {
  const [v, h] = corner.split(" ") as [NonNullable<Pin["v"]>, NonNullable<Pin["h"]>];
  return { h, v };
};

const isFigure = computed(
  () =>
    node.value !== undefined &&
    ["shape", "line", "icon", "code"].includes(node.value.kind) &&
    !["plate", "badge", "backdrop"].includes(node.value.role),
);
const isWords = computed(
  () => node.value !== undefined && (node.value.kind === "text" || node.value.role === "logo"),
);
/** What a figure can keep with. */
const others = computed((): Node[] =>
  (open.piece?.arrangement ?? []).filter(
    ({ id, kind, role }) =>
      id !== node.value?.id && (kind === "text" || (kind === "picture" && role !== "logo")),
  ),
);

const WITH = "with ";
const NEAREST = "nearest";
const LAID_OUT = "laid-out";
const options = computed((): Option[] => [
  { value: LAID_OUT, label: isFigure.value ? "Laid out with the words" : "Laid out with the rest" },
  ...(isFigure.value ? [{ value: NEAREST, label: "Stays near the edges it is nearest to" }] : []),
  ...asOptions(CORNERS, (corner) => `Stays at the ${corner}`),
  ...(isFigure.value
    ? others.value.map((one) => ({
        value: `${WITH}${one.id}`,
        label: `Keeps with: ${nodeName(one).toLowerCase()}`,
      }))
    : []),
]);
const chosen = computed((): string => {
  const { pin, on } = node.value ?? {};
  if (isFigure.value && others.value.some(({ id }) => id === on)) return `${WITH}${on}`;
  if (!pin) return LAID_OUT;
  const corner = `${pin.v ?? "middle"} ${pin.h ?? "centre"}`;
  return (CORNERS as readonly string[]).includes(corner) && (pin.h ?? pin.v) ? corner : NEAREST;
});

function put(value: string | undefined): void {
  if (value?.startsWith(WITH)) hand.change({ on: value.slice(WITH.length), pin: {} });
  else
    hand.change({
      pin: value === NEAREST ? {} : value === LAID_OUT ? undefined : pinOf(value as Corner),
      ...(isFigure.value ? { on: undefined } : {}),
    });
}
</script>

<template>
  <div v-if="node && hand.isLead" class="keeps">
    <h3>On the other sizes</h3>
    <SelectField
      v-if="isFigure || isWords"
      label="On the other sizes"
      size="small"
      :model-value="chosen"
      :options="options"
      @update:model-value="put"
    />
    <NCheckbox
      v-if="node.slot"
      :checked="node.keep === 'if-room'"
      @update:checked="hand.change({ keep: $event ? 'if-room' : 'always' })"
    >
      May be left out where there is no room
    </NCheckbox>
    <NCheckbox
      v-else-if="isFigure"
      :checked="node.keep === 'always'"
      @update:checked="hand.change({ keep: $event ? 'always' : 'if-room' })"
    >
      Never left out
    </NCheckbox>
  </div>
</template>

<style scoped>
.keeps {
  display: grid;
  gap: 8px;
}
</style>
