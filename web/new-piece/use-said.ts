import { computed, ref, type ComputedRef, type Ref } from "vue";
import { sortMessage, wordsOf, type SortedLine } from "../../core/message";
import { isOutline, outlineFromWords, readOutline, writeOutline } from "../../core/strip";
import type { OutlineSlide } from "../../core/strip";

export type Kind = "graphic" | "carousel";

interface Said {
  typed: Ref<string>;
  lines: ComputedRef<SortedLine[]>;
  words: ComputedRef<Record<string, string>>;
  saysAnything: ComputedRef<boolean>;
  /** What is begun: what a person chose, else what the text is written as. */
  kind: Ref<Kind>;
  /** It is written as an outline is. */
  isWritten: ComputedRef<boolean>;
  /** The slides of a carousel; none while nothing is said. */
  outline: ComputedRef<OutlineSlide[]>;
  /** The same as text, as the server reads it. */
  outlineText: ComputedRef<string>;
  correct: (next: readonly SortedLine[]) => void;
}

/** What a new piece is to say: lines that are sorted into slots, or the outline of a carousel. */
export function useSaid(): Said {
  const typed = ref("");
  /** Slots that a person chose, by the words of their line: they hold while one goes on typing. */
  const corrections = ref<Record<string, string>>({});
  const chosen = ref<Kind>();

  const isWritten = computed(() => isOutline(typed.value));
  const kind = computed<Kind>({
    get: () => chosen.value ?? (isWritten.value ? "carousel" : "graphic"),
    set: (next) => (chosen.value = next),
  });
  const lines = computed(() =>
    sortMessage(typed.value).map(({ text, slot }) => ({
      text,
      slot: corrections.value[text] ?? slot,
    })),
  );
  const words = computed(() => wordsOf(lines.value));
  const outline = computed(() => {
    if (kind.value === "graphic") return [];
    return isWritten.value ? readOutline(typed.value) : outlineFromWords(words.value);
  });

  function correct(next: readonly SortedLine[]): void {
    const changed = next.filter(({ slot }, i) => slot !== lines.value[i]?.slot);
    const byWords = Object.fromEntries(changed.map(({ text, slot }) => [text, slot]));
    corrections.value = { ...corrections.value, ...byWords };
  }

  return {
    typed,
    lines,
    words,
    saysAnything: computed(() => lines.value.length > 0),
    kind,
    isWritten,
    outline,
    outlineText: computed(() => (outline.value.length > 0 ? writeOutline(outline.value) : "")),
    correct,
  };
}
