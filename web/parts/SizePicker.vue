<script setup lang="ts">
import { computed, ref } from "vue";
import type { Placement } from "../../core/placements";
import { useLibrary } from "../stores/library";
import { usePiece } from "../stores/piece";
import DialogCard from "./DialogCard.vue";

/** Which placements the piece has; chosen by name. The lead size stays. */
const shown = defineModel<boolean>("shown", { required: true });

const library = useLibrary();
const open = usePiece();
const find = ref("");

const chosen = computed(() => open.piece?.sizes.map((size) => size.placement) ?? []);
const groups = computed(() => {
  const wanted = find.value.trim().toLowerCase();
  const byChannel = new Map<string, Placement[]>();
  for (const placement of library.placements) {
    const { name, channel, width, height } = placement;
    const text = `${name} ${channel} ${width}x${height} ${width} × ${height}`.toLowerCase();
    if (!text.includes(wanted)) continue;
    byChannel.set(channel, [...(byChannel.get(channel) ?? []), placement]);
  }
  return [...byChannel];
});

const channelName = (channel: string): string =>
  channel.charAt(0).toUpperCase() + channel.slice(1).replaceAll("-", " ");

function toggle(id: string): void {
  const was = chosen.value;
  const to = was.includes(id) ? was.filter((other) => other !== id) : [...was, id];
  open.change({ kind: "sizes", to, was });
}
</script>

<template>
  <DialogCard v-model:shown="shown" title="Where does it go?" :width="760" close="Done" fill>
    <input
      v-model="find"
      class="field"
      type="search"
      aria-label="Find a size"
      placeholder="Find by name, channel or size, such as 1080 × 1350"
    />
    <div class="scroll">
      <p v-if="groups.length === 0" class="quiet">No size is called “{{ find }}”.</p>
      <div class="groups">
        <fieldset v-for="[channel, list] in groups" :key="channel">
          <legend>{{ channelName(channel) }}</legend>
          <label v-for="placement in list" :key="placement.id">
            <input
              type="checkbox"
              :checked="chosen.includes(placement.id)"
              :disabled="placement.id === open.piece?.lead"
              @change="toggle(placement.id)"
            />
            <span>{{ placement.name }}</span>
            <span class="quiet number">{{ placement.width }} × {{ placement.height }}</span>
          </label>
        </fieldset>
      </div>
    </div>
  </DialogCard>
</template>

<style scoped>
.scroll {
  flex: 1;
  min-height: 0;
  overflow: auto;
}

.groups {
  columns: 2;
  column-gap: 32px;
}

fieldset {
  padding: 0 0 16px;
  margin: 0;
  border: 0;
  break-inside: avoid;
}

legend {
  padding-bottom: 4px;
  font-weight: 650;
}

label {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 8px;
  padding: 3px 0;
}

input[type="checkbox"] {
  accent-color: var(--leaf);
}
</style>
