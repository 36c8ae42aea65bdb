<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import { brandSpreads, paletteOf, spreadName, type Brand } from "../../../core/brand";
import { sameSpread, type Spread } from "../../../core/colour";
import OrderMark from "../../ui/OrderMark.vue";

/** Several of a brand's spreads, in the order in which they are chosen. Bare buttons, since each shows itself in its colours. */
const props = defineProps<{ brand: Brand }>();
const chosen = defineModel<Spread[]>({ required: true });

const PAGE = 12;
const shown = ref(PAGE);
const all = computed(() => brandSpreads(props.brand));
const swatches = computed(() =>
  all.value.slice(0, shown.value).map((spread) => {
    const { backdrop, headline, action } = paletteOf(props.brand, spread);
    return { spread, name: spreadName(props.brand, spread), backdrop, headline, action };
  }),
);
const placeOf = (spread: Spread): number =>
  chosen.value.findIndex((one) => sameSpread(one, spread));

function toggle(spread: Spread): void {
  const at = placeOf(spread);
  chosen.value = at < 0 ? [...chosen.value, spread] : chosen.value.toSpliced(at, 1);
}
</script>

<template>
  <div class="choice">
    <button
      v-for="{ spread, name, backdrop, headline, action } in swatches"
      :key="name + JSON.stringify(spread)"
      class="spread"
      :style="{ background: backdrop, color: headline }"
      :aria-pressed="placeOf(spread) >= 0"
      :aria-label="name"
      :title="name"
      @click="toggle(spread)"
    >
      <span aria-hidden="true">Aa</span>
      <i :style="{ background: action }"></i>
      <OrderMark v-if="placeOf(spread) >= 0" :at="placeOf(spread)" corner />
    </button>
  </div>
  <NButton v-if="all.length > shown" quaternary @click="shown += PAGE">More spreads</NButton>
</template>

<style scoped>
.choice {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 6px;
}

.spread {
  position: relative;
  display: flex;
  gap: 6px;
  align-items: center;
  justify-content: center;
  height: 44px;
  padding: 0;
  border: 1px solid var(--line-strong);
  font: 650 15px/1 var(--title);
  cursor: pointer;
}

.spread i {
  width: 12px;
  height: 12px;
}

.spread[aria-pressed="true"] {
  outline: 3px solid var(--zest);
  outline-offset: 1px;
}
</style>
