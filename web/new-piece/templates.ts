import { defineStore } from "pinia";
import { computed, shallowRef } from "vue";
import type { TemplateList } from "../../core/api";
import { isStripTemplate, type Template } from "../../core/templates";
import { api } from "../api/client";

/** What can be begun with. What was there before is shown while it is asked for again. */
export const useTemplates = defineStore("templates", () => {
  const templates = shallowRef<readonly Template[]>([]);
  /** Ids of those that the team has made. */
  const house = shallowRef<readonly string[]>([]);

  /** For one graphic, and for a strip of slides. */
  const graphics = computed(() => templates.value.filter((one) => !isStripTemplate(one)));
  const carousels = computed(() => templates.value.filter(isStripTemplate));

  function take(list: TemplateList): void {
    // The same list stays the same, so that nothing is painted again for it.
    const isSame = JSON.stringify(list.templates) === JSON.stringify(templates.value);
    if (!isSame) templates.value = list.templates;
    house.value = list.house;
  }

  /** Throws with the server's sentence. */
  const load = async (): Promise<void> => take(await api.templates());

  async function remove(id: string): Promise<void> {
    take(await api.removeTemplate(id));
  }

  return { templates, graphics, carousels, house, load, remove };
});
