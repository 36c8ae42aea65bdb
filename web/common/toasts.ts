import { defineStore } from "pinia";
import { ref } from "vue";

export interface Toast {
  id: number;
  text: string;
  kind: "told" | "failed";
  /** When it came, in milliseconds. */
  since: number;
}

const STAYS = 8000;
/** What was told just before one was led on to another page is about that one. */
const JUST = 1000;

/** Short sentences about what happened; failures stay until they are closed, or one leaves the page. */
export const useToasts = defineStore("toasts", () => {
  const toasts = ref<Toast[]>([]);
  let last = 0;

  function close(id: number): void {
    toasts.value = toasts.value.filter((toast) => toast.id !== id);
  }

  function add(text: string, kind: Toast["kind"]): number {
    const id = ++last;
    toasts.value.push({ id, text, kind, since: Date.now() });
    return id;
  }

  function tell(text: string): void {
    const id = add(text, "told");
    setTimeout(() => close(id), STAYS);
  }

  function fail(error: unknown): void {
    const text = error instanceof Error ? error.message : String(error);
    if (!toasts.value.some((toast) => toast.text === text)) add(text, "failed");
  }

  /** Another page: what is of the one before goes. */
  function leave(): void {
    const now = Date.now();
    toasts.value = toasts.value.filter(({ since }) => now - since < JUST);
  }

  return { toasts, close, tell, fail, leave };
});
