import { Check, CircleHelp, X } from "@lucide/vue";
import type { Component } from "vue";
import { THUMBNAIL_WIDTHS, type Verdict } from "../../core/api";

interface About {
  does: string;
  said: string;
  key: string;
  icon: Component;
}

/** What can be decided of a variation, by key. */
export const VERDICTS: Readonly<Record<Verdict, About>> = {
  keep: { does: "Keep", said: "kept", key: "k", icon: Check },
  maybe: { does: "Maybe", said: "maybe", key: "m", icon: CircleHelp },
  drop: { does: "Drop", said: "dropped", key: "d", icon: X },
};

/** The small copy of a finished file that is sharp enough for so many CSS pixels. */
export function thumbnailOf(url: string, width: number): string {
  const wanted = width * Math.min(2, window.devicePixelRatio);
  const wide = THUMBNAIL_WIDTHS.find((one) => one >= wanted) ?? THUMBNAIL_WIDTHS.at(-1)!;
  return `${url}?width=${wide}`;
}
