<script setup lang="ts">
import { computed } from "vue";
import type { BrandColour } from "../../core/brand";
import { pairsOf } from "../../core/kit";

/** Contrast between colours: every colour's words on every colour as ground, with contrast and what to take instead. */
const props = defineProps<{ colours: BrandColour[] }>();

const rows = computed(() => pairsOf(props.colours));
const words = { text: "", large: "large only", no: "no" };
</script>

<template>
  <section aria-label="Contrast between colours">
    <h2>Contrast between colours</h2>
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <td class="corner"></td>
            <th v-for="colour in colours" :key="colour.id" scope="col">{{ colour.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, index) in rows" :key="colours[index]!.id">
            <th scope="row">on {{ colours[index]!.name }}</th>
            <td
              v-for="pair in row"
              :key="pair.words.id"
              :style="{ background: pair.ground.hex, color: pair.words.hex }"
            >
              <template v-if="pair.words.id !== pair.ground.id">
                <span v-if="pair.reads !== 'no'" class="sample" aria-hidden="true">Aa</span>
                <span class="fact">
                  <span class="number">{{ pair.ratio.toFixed(1) }}</span>
                  {{ words[pair.reads] }}
                  <span v-if="pair.instead" class="instead">
                    <i :style="{ background: pair.instead }"></i>{{ pair.instead.toUpperCase() }}
                  </span>
                  <span v-if="pair.alikeTo.length > 0">alike: {{ pair.alikeTo.join(", ") }}</span>
                </span>
              </template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="quiet small">
      Contrast by WCAG 2.2: from 4.5 for text, from 3 for large text. Where a pair fails, the
      nearest tint that reads; “alike” names eyes that hardly tell the two apart.
    </p>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 8px;
}

.scroll {
  overflow: auto;
}

table {
  width: 100%;
  min-width: 640px;
  border-spacing: 2px;
  table-layout: fixed;
}

th {
  padding: 4px 8px 4px 0;
  font-size: 12.5px;
  font-weight: 500;
  text-align: left;
  white-space: nowrap;
}

tbody td {
  min-width: 104px;
  height: 62px;
  padding: 8px;
  outline: 1px solid var(--line);
  outline-offset: -1px;
  vertical-align: top;
}

.corner {
  width: 88px;
}

.sample {
  display: block;
  font: 700 20px/1 var(--title);
}

.fact {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 0 6px;
  padding: 1px 5px;
  margin-top: 4px;
  border-radius: 2px;
  background: var(--card);
  color: var(--ink);
  font-size: 11.5px;
}

.instead {
  display: inline-flex;
  gap: 4px;
  align-items: center;
}

.instead i {
  width: 10px;
  height: 10px;
}
</style>
