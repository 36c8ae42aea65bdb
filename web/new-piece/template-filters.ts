import { formatOf, pictureSlots, type Template } from "../../core/templates";

/** What templates are found by; an empty one lets all through. */
export interface Filters {
  find: string;
  purpose: string;
  occasion: string;
  format: string;
  look: string;
  pictures: string;
}

export const NO_FILTERS: Filters = {
  find: "",
  purpose: "",
  occasion: "",
  format: "",
  look: "",
  pictures: "",
};

export function isFound(template: Template, filters: Filters): boolean {
  const { find, purpose, occasion, format, look, pictures } = filters;
  const { name, purposes, looks, occasions, design } = template;
  const text = [name, ...purposes, ...looks, ...occasions, formatOf(template), design.lead];
  const isAmong = (wanted: string, all: readonly string[]) => !wanted || all.includes(wanted);
  return (
    text.join(" ").toLowerCase().includes(find.trim().toLowerCase()) &&
    isAmong(purpose, purposes) &&
    isAmong(occasion, occasions) &&
    isAmong(format, [formatOf(template)]) &&
    isAmong(look, looks) &&
    isAmong(pictures, [String(pictureSlots(template).length)])
  );
}
