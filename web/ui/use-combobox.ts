import type { NSelect } from "naive-ui";
import { nextTick, onMounted, useId, useTemplateRef, watch, type Ref } from "vue";

/**
 * The package's select has no name, role or state that a screen reader could tell, so they are given to it here
 * (WAI-ARIA 1.2, select-only combobox). The select stands in the template under `ref="root"`.
 */
export function useCombobox(
  label: () => string,
  show: Ref<boolean>,
  isChosen: (value: string | number | undefined) => boolean,
  changes: () => unknown,
) {
  const list = useId();
  const root = useTemplateRef<InstanceType<typeof NSelect>>("root");

  /** The part of the package's select that takes the keyboard. */
  const combobox = () =>
    (root.value?.$el as HTMLElement | undefined)?.querySelector<HTMLElement>("[tabindex]");

  function tell(): void {
    const box = combobox();
    box?.setAttribute("role", "combobox");
    box?.setAttribute("aria-label", label());
    box?.setAttribute("aria-haspopup", "listbox");
    box?.setAttribute("aria-controls", list);
    box?.setAttribute("aria-expanded", String(show.value));
  }

  onMounted(tell);
  watch([label, show, changes], () => void nextTick(tell));

  const asOption = (option: { value?: string | number }) => ({
    role: "option",
    "aria-selected": isChosen(option.value),
  });

  return {
    menu: () => ({ id: list, role: "listbox", "aria-label": label() }) as object,
    asOption: asOption as never,
  };
}
