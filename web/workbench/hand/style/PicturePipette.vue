<script setup lang="ts">
import { ref, useTemplateRef, watch } from "vue";
import type { FileId } from "../../../../core/files";
import SelectField from "../../../ui/SelectField.vue";
import { useLibrary } from "../../../common/library";
import PipetteLayer from "./PipetteLayer.vue";
import { colourOn } from "./pipette";

/** A colour where one presses on a picture of the piece. */
const props = defineProps<{ pictures: readonly FileId[] }>();
defineEmits<{ pick: [hex: string]; leave: [] }>();

const WIDTH = 480;
const library = useLibrary();
const nameOf = (id: FileId): string =>
  library.pictures.find((one) => one.id === id)?.name ?? "Picture";
const chosen = ref(props.pictures[0]!);
const canvas = useTemplateRef("canvas");

watch(
  [chosen, canvas],
  () => {
    const image = new Image();
    image.onload = () => {
      if (!canvas.value) return;
      canvas.value.width = image.naturalWidth;
      canvas.value.height = image.naturalHeight;
      canvas.value.getContext("2d")?.drawImage(image, 0, 0);
    };
    image.src = `/api/pictures/${chosen.value}/rendition?width=${WIDTH}`;
  },
  { immediate: true },
);
</script>

<template>
  <SelectField
    v-if="pictures.length > 1"
    v-model="chosen"
    size="small"
    label="Which picture"
    :options="pictures.map((id) => ({ value: id, label: nameOf(id) }))"
  />
  <div class="of">
    <canvas ref="canvas" aria-hidden="true"></canvas>
    <PipetteLayer
      :colour-at="(at) => colourOn(canvas, at)"
      label="Press on the picture to take a colour."
      @pick="$emit('pick', $event)"
      @leave="$emit('leave')"
    />
  </div>
</template>

<style scoped>
.of {
  position: relative;
}

canvas {
  display: block;
  width: 100%;
}
</style>
