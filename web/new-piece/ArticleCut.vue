<script setup lang="ts">
import { NButton } from "naive-ui";
import { ref } from "vue";
import type { ArticleAnswer } from "../../core/api";
import { outlineWithLine } from "../../core/strip";
import { api } from "../api/client";
import FileButton from "../ui/FileButton.vue";
import NumberField from "../ui/NumberField.vue";
import { counted } from "../common/counted";
import { useToasts } from "../common/toasts";

/** Makes an outline of a longer text, typed or in a file, and shows what of it is on no slide, to be put back. */
const props = defineProps<{ isOutline: boolean }>();
const text = defineModel<string>({ required: true });
const toasts = useToasts();

/** Slides at the most, where nobody says how many. */
const MOST = 8;
const slides = ref(MOST);
const busy = ref(false);
const leftOut = ref<ArticleAnswer["leftOut"]>([]);
/** What was typed before it was cut. */
const before = ref<string>();
/** Fewer characters than that are a message, not an article. */
const ARTICLE = 400;

async function cut(ask: () => Promise<ArticleAnswer>): Promise<void> {
  busy.value = true;
  try {
    const typed = text.value;
    const answer = await ask();
    before.value = typed.trim() ? typed : undefined;
    text.value = answer.outline;
    leftOut.value = answer.leftOut;
  } catch (error) {
    toasts.fail(error);
  } finally {
    busy.value = false;
  }
}

function putBack(index: number): void {
  const one = leftOut.value[index];
  if (!one) return;
  text.value = outlineWithLine(text.value, one.slide, one.text);
  leftOut.value = leftOut.value.filter((_, at) => at !== index);
}

function undo(): void {
  text.value = before.value ?? "";
  before.value = undefined;
  leftOut.value = [];
}
</script>

<template>
  <div class="cut">
    <div class="row">
      <FileButton
        size="small"
        label="From an article …"
        accept=".md,.markdown,.html,.htm,.txt,.docx,.pdf"
        :disabled="busy"
        @open="([file]) => file && cut(() => api.articleFile(file, slides || MOST))"
      />
      <NButton
        v-if="!props.isOutline && text.length >= ARTICLE"
        size="small"
        :disabled="busy"
        @click="cut(() => api.articleText(text, slides || MOST))"
        >Cut this text</NButton
      >
      <label class="quiet small">
        into
        <span class="count">
          <NumberField
            v-model="slides"
            label="Slides at the most"
            :min="2"
            :max="20"
            size="small"
          />
        </span>
        slides
      </label>
    </div>
    <p v-if="before !== undefined" class="quiet small">
      Every line is from your text, word for word.
      <NButton text type="primary" @click="undo">Take the text back</NButton>
    </p>
    <details v-if="leftOut.length > 0">
      <summary class="small">{{ counted(leftOut.length, "sentence") }} on no slide</summary>
      <ul>
        <li v-for="({ text: one }, index) in leftOut" :key="index">
          <span>{{ one }}</span>
          <NButton size="tiny" :aria-label="`Put back: ${one}`" @click="putBack(index)"
            >Put back</NButton
          >
        </li>
      </ul>
    </details>
  </div>
</template>

<style scoped>
.cut {
  display: grid;
  gap: 8px;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.row label {
  display: flex;
  gap: 6px;
  align-items: center;
}

.count {
  width: 84px;
}

p {
  margin: 0;
}

ul {
  display: grid;
  gap: 8px;
  max-height: 220px;
  padding: 8px 0 0;
  margin: 0;
  overflow: auto;
  font-size: 13px;
  list-style: none;
}

li {
  display: flex;
  gap: 8px;
  align-items: start;
  justify-content: space-between;
}
</style>
