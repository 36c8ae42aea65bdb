import { tryOnScopeDispose } from "@vueuse/core";
import { watch } from "vue";
import { useLibrary } from "../common/library";
import { useTemplates } from "./templates";
import { prepare } from "../wall/painter";
import { PREVIEW, previewOf, previewWidth } from "../common/previews";

/** After what is on the page has been painted, in milliseconds. */
const LATER = 600;

/** While the crates are looked at, the templates are made ready in the brand of the first; ends with its scope. */
export function useTemplatesAhead(): void {
  const library = useLibrary();
  const list = useTemplates();
  let over = false;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function work(): Promise<void> {
    const brand = library.brandById.get(library.crates[0]?.brand ?? "");
    // What cannot be had now is asked for again when it is needed.
    await list.load().catch(() => undefined);
    if (!brand) return;
    const shelf = library.photographsOf(brand.id).map(({ id }) => id);
    for (const [index, template] of list.graphics.entries()) {
      const lead = library.placements.find(({ id }) => id === template.design.lead);
      if (over) return;
      if (!lead) continue;
      const width = previewWidth(lead, PREVIEW.area, PREVIEW.widest);
      const pixels = Math.max(1, Math.round(width * window.devicePixelRatio));
      const piece = previewOf(template, brand, index, { words: {}, pictures: [], shelf });
      await prepare(piece, brand, { placement: lead, pixels });
    }
  }

  watch(
    () => library.state === "ready",
    (ready) => {
      clearTimeout(timer);
      if (ready) timer = setTimeout(() => void work(), LATER);
    },
    { immediate: true },
  );
  tryOnScopeDispose(() => {
    over = true;
    clearTimeout(timer);
  });
}
