<script setup lang="ts">
import { Download } from "@lucide/vue";
import { NButton } from "naive-ui";
import type { DeliveryAnswer } from "../../core/api";
import { api } from "../api/client";
import { useToasts } from "./toasts";
import { counted } from "./counted";
import { JOB_STATES, jobTurn } from "./job-states";
import { sizeOf } from "./size-of";
import { when } from "./when";

/** The zips of a piece: downloaded, stopped, made again, deleted. */
defineProps<{ deliveries: DeliveryAnswer[]; title: string }>();
const emit = defineEmits<{ changed: [] }>();
const toasts = useToasts();

function factsOf({ state, made, files, bytes, created }: DeliveryAnswer): string {
  if (state === "running") return `${made} of ${files} files made …`;
  const time = when(created);
  return state === "done"
    ? [counted(files, "file"), sizeOf(bytes), time].join(", ")
    : [counted(files, "file"), time, JOB_STATES[state]].join(", ");
}

async function act(work: () => Promise<unknown>): Promise<void> {
  await work().catch(toasts.fail);
  emit("changed");
}
</script>

<template>
  <section v-if="deliveries.length" class="made" aria-label="Deliveries">
    <h2>{{ title }}</h2>
    <div v-for="delivery in deliveries" :key="delivery.id" class="delivery">
      <p class="file">{{ delivery.name }}</p>
      <p class="quiet small number">{{ factsOf(delivery) }}</p>
      <p v-if="delivery.message" class="failed small">{{ delivery.message }}</p>
      <div class="turns">
        <NButton
          v-if="delivery.state === 'done'"
          tag="a"
          :href="`/api/deliveries/${delivery.id}/file`"
          download
        >
          <template #icon><Download aria-hidden="true" /></template>
          Download
        </NButton>
        <NButton
          v-else
          size="small"
          @click="act(() => api.turnDelivery(delivery.id, jobTurn(delivery.state) ?? 'resume'))"
          >{{ jobTurn(delivery.state) === "cancel" ? "Cancel" : "Make it again" }}</NButton
        >
        <NButton
          v-if="jobTurn(delivery.state) !== 'cancel'"
          quaternary
          type="primary"
          size="small"
          title="It can be brought back for 30 days"
          @click="act(() => api.remove('delivery', delivery.id))"
          >Delete</NButton
        >
      </div>
    </div>
  </section>
</template>

<style scoped>
.made {
  display: grid;
  gap: 12px;
}

.delivery {
  display: grid;
  gap: 4px;
  justify-items: start;
}

.file {
  overflow-wrap: anywhere;
}

.turns {
  display: flex;
  gap: 4px;
  align-items: center;
}

.failed {
  color: var(--berry);
}
</style>
