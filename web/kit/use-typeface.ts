import { watch } from "vue";
import type { Typeface } from "../../core/brand";
import type { FileId } from "../../core/files";

/** Makes a stored or shipped font known to the page under a name of its own, and answers that name. */
export function typefaceName(file: FileId): string {
  return `kit-${file.slice(0, 12)}`;
}

/** How a page sets a sample in a kit's typeface. */
export function sampleStyle({
  faces: [face],
  tracking,
  case: letterCase,
}: Pick<Typeface, "tracking" | "case"> & {
  faces: readonly Pick<Typeface["faces"][number], "file" | "axes">[];
}) {
  const { file, axes: set } = face!;
  const axes = Object.entries(set).map(([tag, value]) => `"${tag}" ${value}`);
  return {
    fontFamily: `"${typefaceName(file)}"`,
    fontVariationSettings: axes.join(", ") || "normal",
    letterSpacing: `${tracking}em`,
    textTransform: letterCase === "upper" ? ("uppercase" as const) : ("none" as const),
  };
}

const asked = new Set<FileId>();

/** Loads the fonts as they come up; those that fail leave the page's own typeface in their place. */
export function useTypefaces(files: () => readonly FileId[]): void {
  watch(
    files,
    (wanted) => {
      for (const file of wanted) {
        if (asked.has(file)) continue;
        asked.add(file);
        const face = new FontFace(typefaceName(file), `url(/api/fonts/${file})`);
        face.load().then(
          () => document.fonts.add(face),
          () => asked.delete(file),
        );
      }
    },
    { immediate: true },
  );
}
