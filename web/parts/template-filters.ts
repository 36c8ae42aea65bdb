import { pictureSlots, type Template } from "../../core/templates";

/** What templates are found by; an empty one lets all through. */
export interface Filters {
  find: string;
  purpose: string;
  look: string;
  pictures: string;
}

export const NO_FILTERS: Filters = { find: "", purpose: "", look: "", pictures: "" };

export function isFound(template: Template, { find, purpose, look, pictures }: Filters): boolean {
  const { name, purposes, looks, occasions, design } = template;
  const text = [name, ...purposes, ...looks, ...occasions, design.kind, design.lead].join(" ");
  return (
    text.toLowerCase().includes(find.trim().toLowerCase()) &&
    (!purpose || purposes.some((one) => one === purpose)) &&
    (!look || looks.some((one) => one === look)) &&
    (!pictures || pictureSlots(template).length === Number(pictures))
  );
}
