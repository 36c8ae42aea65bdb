<script setup lang="ts">
import { NInput } from "naive-ui";
import { useTemplateRef } from "vue";

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
  invalid?: boolean;
  disabled?: boolean;
  clearable?: boolean;
  size?: "small" | "medium";
}>();
const text = defineModel<string>();
defineEmits<{ change: [text: string] }>();

const field = useTemplateRef("field");
defineExpose({ focus: (): void => field.value?.focus() });

const input = () => ({
  ...(props.inputId ? { id: props.inputId } : {}),
  ...(props.label ? { "aria-label": props.label } : {}),
  ...(props.invalid ? { "aria-invalid": "true" as const } : {}),
  ...(props.required ? { required: true } : {}),
  autocomplete: "off",
});
</script>

<template>
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
    :status="invalid ? 'error' : undefined"
    :input-props="input()"
    @update:value="text = $event"
    @change="$emit('change', $event)"
  />
</template>
