import { defineStore } from "pinia";
import { ref } from "vue";

export interface Toast {
  id: number;
  text: string;
  kind: "told" | "failed";
}

const STAYS = 8000;

/** Short sentences about what happened; failures stay until they are closed. */
export const useToasts = defineStore("toasts", () => {
  const toasts = ref<Toast[]>([]);
  let last = 0;

  function close(id: number): void {
    toasts.value = toasts.value.filter((toast) => toast.id !== id);
  }

  function tell(text: string): void {
    const id = ++last;
    toasts.value.push({ id, text, kind: "told" });
    setTimeout(() => close(id), STAYS);
  }

  function fail(error: unknown): void {
    const text = error instanceof Error ? error.message : String(error);
    if (toasts.value.some((toast) => toast.text === text)) return;
    toasts.value.push({ id: ++last, text, kind: "failed" });
  }

  return { toasts, close, tell, fail };
});
