<script setup lang="ts">
import { NInput } from "naive-ui";
import { useId, useTemplateRef } from "vue";

/** A line of text, or several with `rows`. `label` names it where nothing that can be seen does. */
const props = defineProps<{
  label?: string;
  /** For a label that stands elsewhere. */
  inputId?: string;
  rows?: number;
  kind?: "text" | "password";
  placeholder?: string;
  maxlength?: number;
  required?: boolean;
  /** It is wrong: said elsewhere, or here in words. */
  invalid?: boolean;
  error?: string | undefined;
  disabled?: boolean;
  clearable?: boolean;
  size?: "small" | "medium";
}>();
const text = defineModel<string>();
defineEmits<{ change: [text: string] }>();

const reason = useId();
const field = useTemplateRef("field");
defineExpose({ focus: (): void => field.value?.focus() });

const input = () => ({
  ...(props.inputId ? { id: props.inputId } : {}),
  ...(props.label ? { "aria-label": props.label } : {}),
  ...(props.invalid || props.error ? { "aria-invalid": "true" as const } : {}),
  ...(props.error ? { "aria-describedby": reason } : {}),
  ...(props.required ? { required: true } : {}),
  autocomplete: "off",
});
</script>

<template>
  <div class="with-error">
    <NInput
      ref="field"
      :value="text ?? ''"
      :type="rows ? 'textarea' : (kind ?? 'text')"
      :rows="rows ?? 3"
      :placeholder="placeholder ?? ''"
      :maxlength="maxlength"
      :disabled="disabled ?? false"
      :clearable="clearable ?? false"
      :size="size ?? 'medium'"
      :status="invalid || error ? 'error' : undefined"
      :input-props="input()"
      @update:value="text = $event"
      @change="$emit('change', $event)"
    />
    <span v-if="error" :id="reason" class="wrong" role="alert">{{ error }}</span>
  </div>
</template>

<style scoped>
/* Whoever uses it may say another width. */
:where(.with-error) {
  width: 100%;
  min-width: 0;
}
</style>
