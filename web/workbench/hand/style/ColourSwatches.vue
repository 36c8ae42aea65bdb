<script setup lang="ts">
import { NButton, NColorPicker } from "naive-ui";
import { computed, ref } from "vue";
import { baseId, ColourRole, Hex, tintId, TINT_STEPS } from "../../../../core/colour";
import { messagePictures } from "../../../../core/piece";
import { useBench } from "../../bench";
import { usePiece } from "../../piece";
import PicturePipette from "./PicturePipette.vue";
import { useHandStyle } from "./use-style";

/**
 * A colour of the piece, of the brand, a tint of one, or any other, which is marked. Of words, each is shown with how it
 * stands out from what is behind them.
 */
const props = defineProps<{ token: string | undefined; words?: boolean }>();
const emit = defineEmits<{ pick: [token: string] }>();

const open = usePiece();
const bench = useBench();
const { hexOf, contrastOf, needed } = useHandStyle();

interface Swatch {
  token: string;
  name: string;
  hex: string;
}
const ROLES: Partial<Record<ColourRole, string>> = {
  headline: "Headline colour",
  support: "Text colour",
  detail: "Detail colour",
  action: "Button colour",
  plate: "Plate colour",
  ornament: "Ornament colour",
  backdrop: "Ground colour",
};
const ofPiece = computed((): Swatch[] =>
  ColourRole.options.flatMap((token) => {
    const [name, hex] = [ROLES[token], hexOf(token)];
    return name && hex ? [{ token, name, hex }] : [];
  }),
);
const ofBrand = computed((): Swatch[] =>
  (open.brand?.colours ?? []).map(({ id, name, hex }) => ({ token: id, name, hex })),
);
const base = computed(() => {
  const own = props.token && hexOf(props.token);
  return open.brand?.colours.find(({ id, hex }) => id === baseId(props.token ?? "") || hex === own);
});
const tints = computed((): Swatch[] =>
  base.value
    ? TINT_STEPS.map((step) => {
        const token = tintId(base.value!.id, step);
        return { token, name: `${base.value!.name}, ${step} % light`, hex: hexOf(token) ?? "" };
      })
    : [],
);
const rows = computed(() =>
  [
    { name: "Change with the colours of the piece", swatches: ofPiece.value },
    { name: "Of the brand", swatches: ofBrand.value },
    { name: "Tints", swatches: tints.value },
  ]
    .filter(({ swatches }) => swatches.length > 0)
    .map(({ name, swatches }) => ({
      name,
      swatches: swatches.map((one) => ({ ...one, contrast: contrastIn(one.hex) })),
    })),
);

const isRaw = computed(() => props.token !== undefined && Hex.safeParse(props.token).success);
const pictures = computed(() => (open.piece ? messagePictures(open.piece.message) : []));
const picking = ref(false);
const pickOwn = (hex: string): void => emit("pick", hex.toUpperCase());
/** The next press on the large size takes the colour that it shows there. */
function pickFromGraphic(): void {
  picking.value = false;
  bench.pipette = bench.pipette ? undefined : (hex) => emit("pick", hex);
}

function contrastIn(hex: string): { value: string; low: boolean } | undefined {
  const value = props.words ? contrastOf(hex) : undefined;
  return value === undefined ? undefined : { value: value.toFixed(1), low: value < needed.value };
}
</script>

<template>
  <div class="colours">
    <div v-for="{ name, swatches } in rows" :key="name">
      <span class="quiet small">{{ name }}</span>
      <div class="swatches" role="group" :aria-label="name">
        <button
          v-for="one in swatches"
          :key="one.token"
          class="swatch"
          :aria-label="one.name"
          :aria-pressed="token === one.token"
          :title="one.contrast ? `${one.name}, contrast ${one.contrast.value} : 1` : one.name"
          @click="emit('pick', one.token)"
        >
          <span class="paint" :style="{ background: one.hex }"></span>
          <span v-if="one.contrast" class="contrast number" :class="{ low: one.contrast.low }">{{
            one.contrast.value
          }}</span>
        </button>
      </div>
    </div>
    <div class="others">
      <NColorPicker
        size="small"
        :modes="['hex']"
        :show-alpha="false"
        :value="(token && hexOf(token)) ?? null"
        :actions="['confirm']"
        @confirm="pickOwn"
      />
      <span class="quiet small">Take from</span>
      <NButton
        size="small"
        :aria-pressed="bench.pipette !== undefined"
        :secondary="bench.pipette !== undefined"
        @click="pickFromGraphic"
      >
        The graphic
      </NButton>
      <NButton
        v-if="pictures[0]"
        size="small"
        :aria-pressed="picking"
        :secondary="picking"
        @click="picking = !picking"
      >
        A picture
      </NButton>
    </div>
    <PicturePipette
      v-if="picking && pictures[0]"
      :pictures="pictures"
      @pick="emit('pick', $event)"
      @leave="picking = false"
    />
    <p v-if="isRaw" class="small off">This colour is not the brand’s; preflight will say so.</p>
  </div>
</template>

<style scoped>
.colours {
  display: grid;
  gap: 8px;
}

.swatches {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(28px, 1fr));
  gap: 6px;
  margin-top: 4px;
}

.swatch {
  display: grid;
  gap: 2px;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  cursor: pointer;
}

.paint {
  height: 26px;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
}

.swatch[aria-pressed="true"] .paint {
  outline: 3px solid var(--zest);
  outline-offset: 1px;
}

.contrast {
  color: var(--quiet);
  font-size: 10px;
  line-height: 1.2;
  text-align: center;
}

.contrast.low {
  color: var(--berry);
  text-decoration: line-through;
}

.others {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
}

.others .n-color-picker,
.others > span {
  flex: 1 1 100%;
}

.off {
  color: var(--berry);
}
</style>
