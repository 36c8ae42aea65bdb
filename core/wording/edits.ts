import { slotName } from "../message";
import type { Address, Edit, EditName } from "../edit";

const NAMES: Record<EditName, string> = {
  arrangement: "another look",
  brand: "another brand",
  lead: "another lead size",
  mend: "put on brand",
  "give-back": "a size follows again",
  set: "laid out as a set",
};

const FIELDS: Partial<Record<string, string>> = {
  title: "name of the piece",
  kind: "kind of piece",
  brand: NAMES.brand,
  spread: "other colours",
  lead: NAMES.lead,
  language: "language",
  without: "logo left out or shown",
  fine: "a finding called fine",
  running: "what runs through the slides",
  across: "what runs across the folds",
  siblings: "laid out by itself",
};

/** What a step of the history is called, as in “Undo: headline”. */
export function nameOf({ name, changes }: Edit): string {
  return name ? NAMES[name] : nameOfChange(changes[0]!.at);
}

/** What was done to a node, which is called by its id. */
function nameOfNodeChange(id: string, way: readonly string[]): string {
  const name = id.replaceAll("-", " ");
  switch (way.at(-1)) {
    case "framing":
    case "adjust":
      return "picture in its frame";
    case "box":
    case "place":
      return `${name} moved`;
    case "hidden":
      return `${name} hidden or shown`;
    case "locked":
      return `${name} locked or not`;
    case "after":
      return "order from back to front";
    case undefined:
      return `${name} added or taken out`;
    default:
      return way[0] === "style" ? `look of ${name}` : "layout";
  }
}

function nameOfSlideChange(field: string): string {
  if (field === "after") return "order of the slides";
  return field === "message" ? "words of a slide" : "look of a slide";
}

function nameOfChange([first, key, ...way]: Address): string {
  switch (first) {
    case "message":
      return slotName(key!).toLowerCase();
    case "arrangement":
      return nameOfNodeChange(key!, way);
    case "slides":
      return way.length === 0 ? "a slide added or taken out" : nameOfSlideChange(way[0]!);
    case "sizes":
      if (way.length === 0) return "sizes";
      if (way[0] === "layout") return "layout of one size";
      return way[0] === "changes"
        ? `${nameOfNodeChange(way[1]!, way.slice(2))} on one size`
        : "one size";
    default:
      return FIELDS[first] ?? "piece";
  }
}
