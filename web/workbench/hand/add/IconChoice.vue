<script setup lang="ts">
import { NVirtualList } from "naive-ui";
import { computed, ref, shallowRef, watch } from "vue";
import { ICON_GRID, ICON_STROKE, iconPath } from "../../../../core/shape";
import DialogCard from "../../../common/DialogCard.vue";
import { useToasts } from "../../../common/toasts";
import TextField from "../../../ui/TextField.vue";
import { allIcons, iconsFound, type Icon } from "./icons";

/** One of the icons that ship with the program, found by its name or by what it stands for. */
const shown = defineModel<boolean>("shown", { required: true });
const emit = defineEmits<{ pick: [name: string] }>();

const toasts = useToasts();
const icons = shallowRef<readonly Icon[]>();
const words = ref("");
watch(shown, async (open) => {
  if (!open || icons.value) return;
  try {
    icons.value = await allIcons();
  } catch (error) {
    toasts.fail(error);
  }
});

const ACROSS = 9;
const ROW = 74;
const found = computed(() => iconsFound(icons.value ?? [], words.value));
const rows = computed(() =>
  Array.from({ length: Math.ceil(found.value.length / ACROSS) }, (_, at) => {
    const row = found.value.slice(at * ACROSS, (at + 1) * ACROSS);
    return { key: row[0]!.name, row };
  }),
);
type Row = (typeof rows.value)[number];

function pick(name: string): void {
  shown.value = false;
  emit("pick", name);
}
const spoken = (name: string): string => name.replaceAll("-", " ");
</script>

<template>
  <DialogCard v-model:shown="shown" title="Icons" :width="720" fill>
    <TextField
      v-model="words"
      label="Find an icon"
      placeholder="boat, calendar, arrow …"
      clearable
    />
    <p v-if="!icons" class="quiet" role="status">Reading the icons …</p>
    <p v-else-if="found.length === 0" class="quiet" role="status">
      No icon is called “{{ words }}”. Try another word for it.
    </p>
    <NVirtualList v-else class="rows" :items="rows" :item-size="ROW" key-field="key">
      <template #default="{ item }: { item: Row }">
        <div class="row">
          <button
            v-for="{ name, drawing } in item.row"
            :key="name"
            class="icon"
            :aria-label="`Add ${spoken(name)}`"
            :title="spoken(name)"
            @click="pick(name)"
          >
            <svg
              :viewBox="`0 0 ${ICON_GRID} ${ICON_GRID}`"
              width="28"
              height="28"
              fill="none"
              stroke="currentColor"
              :stroke-width="ICON_STROKE"
              stroke-linecap="round"
              stroke-linejoin="round"
              aria-hidden="true"
            >
              <path :d="iconPath(drawing)" />
            </svg>
            <span>{{ spoken(name) }}</span>
          </button>
        </div>
      </template>
    </NVirtualList>
  </DialogCard>
</template>

<style scoped>
.rows {
  flex: 1;
  min-height: 0;
}

.row {
  display: grid;
  grid-template-columns: repeat(9, minmax(0, 1fr));
  gap: 4px;
}

.icon {
  display: grid;
  gap: 4px;
  justify-items: center;
  height: 70px;
  padding: 8px 2px 4px;
  border: 0;
  border-radius: 3px;
  background: none;
  color: inherit;
  font: inherit;
  cursor: pointer;
}

.icon:hover {
  background: var(--leaf-tint);
}

.icon span {
  overflow: hidden;
  width: 100%;
  color: var(--quiet);
  font-size: 11px;
  text-align: center;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
