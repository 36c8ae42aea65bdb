import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import type { IconLookup, IconNode } from "../../core/shape";

let icons: Map<string, IconNode> | undefined;

/** The icon set that ships with the program, read when the first icon is asked for. */
export const iconLookup: IconLookup = (name) => {
  icons ??= readIcons();
  return icons.get(name);
};

function readIcons(): Map<string, IconNode> {
  const path = createRequire(import.meta.url).resolve("lucide-static/icon-nodes.json");
  return new Map(
    Object.entries(JSON.parse(readFileSync(path, "utf8")) as Record<string, IconNode>),
  );
}
