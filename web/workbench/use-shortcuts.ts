import { useEventListener } from "@vueuse/core";
import { ref, type Ref } from "vue";
import { steps, type Step } from "../router";
import { useBench } from "./bench";
import { usePiece } from "./piece";

/** The keys of the workbench, as they are listed for `?`. */
export const shortcuts = [
  { keys: "1 – 6", does: "Go to a step" },
  { keys: ",  .", does: "Walk through the sizes" },
  { keys: "Enter", does: "Put the selected size on the bench, large" },
  { keys: "Esc", does: "Back to the wall" },
  { keys: "Tab", does: "Walk through what stands on the large size" },
  { keys: "Arrows", does: "Move what is selected by a pixel, with Shift by ten" },
  { keys: "[  ]", does: "Nearer to the back or the front" },
  { keys: "Ctrl + D", does: "Duplicate what is selected" },
  { keys: "Ctrl + C, V", does: "Copy and paste it, between pieces too" },
  { keys: "Ctrl + Alt + C, V", does: "Copy how it looks onto something else" },
  { keys: "Ctrl + G", does: "Group what is selected, with Shift part it" },
  { keys: "+  −  0  z", does: "Nearer, farther, the whole, what is selected" },
  { keys: "Space", does: "Hold to move what is in view; Ctrl and the wheel zoom" },
  { keys: "m", does: "Show margins and columns of the large size" },
  { keys: "Del", does: "Take it out; on another size than the lead, hide it there" },
  { keys: "g", does: "Show what each channel covers and crops" },
  { keys: "a", does: "Show where each size is likely to be looked at first" },
  { keys: "b", does: "Compare with how it was before the last change" },
  { keys: "n", does: "Twelve more looks, in the step Look" },
  { keys: "Ctrl + Z", does: "Undo" },
  { keys: "Ctrl + Shift + Z", does: "Redo" },
  { keys: "?", does: "List the keys" },
] as const;

/** Keys act unless something is being typed; undo and redo act on the piece everywhere. */
export function useShortcuts({ go }: { go: (step: Step) => void }): { listShown: Ref<boolean> } {
  const open = usePiece();
  const bench = useBench();
  const listShown = ref(false);

  const actions: Record<string, () => void> = {
    ",": () => bench.walk(-1),
    ".": () => bench.walk(1),
    g: () => (bench.showCovered = !bench.showCovered),
    a: () => (bench.showAttention = !bench.showAttention),
    b: () => (bench.showBefore = !bench.showBefore && open.before !== undefined),
    "?": () => (listShown.value = true),
    Enter: () => (bench.large = true),
    Escape: () => (bench.large = false),
  };
  steps.forEach((step, index) => (actions[String(index + 1)] = () => go(step)));

  useEventListener("keydown", (event: KeyboardEvent) => {
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "z") {
      event.preventDefault();
      void (event.shiftKey ? open.redo() : open.undo());
      return;
    }
    const { target } = event;
    const element = target instanceof HTMLElement ? target : undefined;
    const typing = element?.matches("input, textarea, select, [contenteditable]");
    const pressing = event.key === "Enter" && element?.matches("button, a, summary");
    if (typing || pressing || event.ctrlKey || event.metaKey || event.altKey) return;
    const action = actions[event.key];
    if (!action) return;
    event.preventDefault();
    action();
  });

  return { listShown };
}
