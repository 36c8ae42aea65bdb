import type { LayoutId } from "./layout-id";
import { LayoutKind, LayoutPlace, WordsLayout } from "./layout-id";

/*
 * Layouts were once kept by their English names, such as “picture above, stack, no badge”. This reads them where they still
 * come in: from files, databases and browsers.
 */

const OTHERWISE: Record<string, string> = {
  "words left of the picture": "words-left",
  "words right of the picture": "words-right",
  "the whole picture": "whole-picture",
  "in the middle": "middle",
  "on the floor": "floor",
};

const slug = (name: string): string => OTHERWISE[name] ?? name.replaceAll(" ", "-");

/** Undefined for a name that no layout has. */
export function layoutFromName(name: string): LayoutId | undefined {
  const [first = "", ...rest] = name.split(", ").map(slug);
  const kind = LayoutKind.safeParse(first);
  if (!kind.success) return undefined;
  const id: LayoutId = { kind: kind.data };
  for (const part of rest) {
    const [words, place] = [WordsLayout.safeParse(part), LayoutPlace.safeParse(part)];
    if (words.success) id.words = words.data;
    else if (place.success) id.place = place.data;
    else if (part === "no-badge") id.unbadged = true;
    else return undefined;
  }
  return id;
}

/** A stored document, or an edit of one, with ids for names of layouts; one that is unknown is left out. */
export function withLayoutIds(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withLayoutIds);
  if (typeof value !== "object" || value === null) return value;
  const isOfLayout = "at" in value && Array.isArray(value.at) && value.at.at(-1) === "layout";
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, inner]): [string, unknown][] => {
      if (isOfLayout && (key === "to" || key === "was") && typeof inner === "string")
        return [[key, layoutFromName(inner) ?? null]];
      if (key === "layout" && typeof inner === "string") {
        const id = layoutFromName(inner);
        return id ? [[key, id]] : [];
      }
      return [[key, key === "shown" ? shownWithIds(inner) : withLayoutIds(inner)]];
    }),
  );
}

/** How each placement was laid out when last seen. */
export function shownWithIds(shown: unknown): unknown {
  if (typeof shown !== "object" || shown === null) return shown;
  return Object.fromEntries(
    Object.entries(shown).flatMap(([placement, layout]) => {
      const id = typeof layout === "string" ? layoutFromName(layout) : (layout as LayoutId);
      return id ? [[placement, id]] : [];
    }),
  );
}
