import type { IconNode } from "../../../../core/shape";

export interface Icon {
  name: string;
  /** Other words that it is found by. */
  tags: readonly string[];
  drawing: IconNode;
}

let loading: Promise<Icon[]> | undefined;

/** The icon set that ships with the program; read when somebody looks for an icon. */
export function allIcons(): Promise<Icon[]> {
  loading ??= load().catch((error: unknown) => {
    loading = undefined;
    throw error;
  });
  return loading;
}

async function load(): Promise<Icon[]> {
  const [nodes, tags] = await Promise.all([
    import("lucide-static/icon-nodes.json"),
    import("lucide-static/tags.json"),
  ]);
  const words = tags.default as Record<string, string[]>;
  return Object.entries(nodes.default as unknown as Record<string, IconNode>).map(
    ([name, drawing]) => ({ name, drawing, tags: words[name] ?? [] }),
  );
}

/**
 * Icons that are found by all of some words, those first whose name is just that, then those whose name begins with it, then
 * by name, then by another word.
 */
export function iconsFound(icons: readonly Icon[], words: string): Icon[] {
  const wanted = words
    .toLowerCase()
    .split(/[\s-]+/)
    .filter(Boolean);
  if (wanted.length === 0) return [...icons];
  const ranked = icons.flatMap((icon) => {
    const ranks = wanted.flatMap((word) => rankOf(icon, word) ?? []);
    return ranks.length === wanted.length
      ? [{ icon, rank: ranks.reduce((sum, rank) => sum + rank, 0) }]
      : [];
  });
  return ranked.sort((a, b) => a.rank - b.rank).map(({ icon }) => icon);
}

function rankOf({ name, tags }: Icon, word: string): number | undefined {
  if (name === word) return 0;
  if (name.startsWith(word)) return 1;
  if (name.split("-").some((part) => part.startsWith(word))) return 2;
  if (tags.some((tag) => tag.toLowerCase().split(/\s+/).includes(word))) return 3;
  const others = [name, ...tags].some((tag) => tag.toLowerCase().includes(word));
  return others ? 4 : undefined;
}
