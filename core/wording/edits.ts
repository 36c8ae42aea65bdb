import { slotName } from "../message";
import type { Address, Edit, EditName } from "../edit";

const NAMES: Record<EditName, string> = {
  arrangement: "another look",
  brand: "another brand",
  lead: "another lead size",
  mend: "put on brand",
  "give-back": "a size follows again",
};

const FIELDS: Partial<Record<string, string>> = {
  title: "name of the piece",
  brand: NAMES.brand,
  spread: "other colours",
  lead: NAMES.lead,
  language: "language",
  without: "logo left out or shown",
  fine: "a finding called fine",
};

/** What a step of the history is called, as in “Undo: headline”. */
export function nameOf({ name, changes }: Edit): string {
  return name ? NAMES[name] : nameOfChange(changes[0]!.at);
}

function nameOfChange([first, key, ...way]: Address): string {
  switch (first) {
    case "message":
      return slotName(key!).toLowerCase();
    case "arrangement":
      return way.at(-1) === "framing" || way.at(-1) === "adjust"
        ? "picture in its frame"
        : "layout";
    case "sizes":
      if (way.length === 0) return "sizes";
      return way[0] === "layout" ? "layout of one size" : "one size";
    default:
      return FIELDS[first] ?? "piece";
  }
}
