<script setup lang="ts">
import { NCheckbox } from "naive-ui";
import { computed, ref } from "vue";
import type { Placement } from "../../../core/placements";
import { useLibrary } from "../../common/library";
import type { Size } from "../../../core/piece";
import { usePiece } from "../piece";
import { byChannel, channelName, isCalled } from "../../wall/packing";
import DialogCard from "../../common/DialogCard.vue";
import OwnSizeForm from "./OwnSizeForm.vue";
import TextField from "../../ui/TextField.vue";

/** Which placements the piece has; chosen by name, or made here. The lead size stays. */
const shown = defineModel<boolean>("shown", { required: true });

const library = useLibrary();
const open = usePiece();
const find = ref("");

const sizes = computed(() => open.piece?.sizes ?? []);
const chosen = computed(() => sizes.value.map((size) => size.placement));
const own = computed(() => sizes.value.flatMap((size) => size.own ?? []));
/** What is retired is offered only where a piece still has it. */
const offered = computed(() => {
  const chosenNow = new Set(chosen.value);
  const ownIds = new Set(own.value.map(({ id }) => id));
  const shared = library.placements.filter(
    ({ id, retired }) => !ownIds.has(id) && (!retired || chosenNow.has(id)),
  );
  return [...own.value, ...shared];
});
const taken = computed(() => new Set(offered.value.map(({ id }) => id)));
const groups = computed(() => {
  return byChannel(offered.value.filter((placement) => isCalled(placement, find.value)));
});

function become(to: Size[]): void {
  if (open.piece) open.become({ ...open.piece, sizes: to });
}

function toggle(id: string): void {
  const was = sizes.value;
  const without = was.filter(({ placement }) => placement !== id);
  const to = without.length < was.length ? without : [...was, { placement: id, changes: {} }];
  become(to);
}

function add(own: Placement): void {
  become([...sizes.value, { placement: own.id, own, changes: {} }]);
}
</script>

<template>
  <DialogCard v-model:shown="shown" title="Where does it go?" :width="760" close="Done" fill>
    <TextField
      v-model="find"
      label="Find a size"
      placeholder="Find by name, channel or size, such as 1080 × 1350"
      clearable
    />
    <div class="scroll">
      <p v-if="groups.length === 0" class="quiet">No size is called “{{ find }}”.</p>
      <div class="groups">
        <fieldset v-for="{ channel, placements } in groups" :key="channel">
          <legend>{{ channelName(channel) }}</legend>
          <NCheckbox
            v-for="placement in placements"
            :key="placement.id"
            :checked="chosen.includes(placement.id)"
            :disabled="placement.id === open.piece?.lead"
            @update:checked="toggle(placement.id)"
            >{{ placement.name }}
            <span class="quiet number"
              >{{ placement.width }} × {{ placement.height }}</span
            ></NCheckbox
          >
        </fieldset>
      </div>
    </div>
    <details class="own">
      <summary>A size of your own</summary>
      <OwnSizeForm :taken="taken" @add="add" />
    </details>
    <p class="small">
      <RouterLink to="/placements">All placements, with their safe areas</RouterLink>
    </p>
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

.own {
  flex: none;
  padding-top: 12px;
  border-top: 1px solid var(--line);
}

summary {
  font-weight: 650;
  cursor: pointer;
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

.n-checkbox {
  display: flex;
  padding: 3px 0;
}
</style>
