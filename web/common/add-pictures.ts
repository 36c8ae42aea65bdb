import { tryOnScopeDispose } from "@vueuse/core";
import { shallowRef, type Ref, type ShallowRef } from "vue";
import type { FileId } from "../../core/files";
import { useLibrary } from "./library";
import { useToasts } from "./toasts";

interface AddPictures {
  /** How far it is, as “3 of 12”; empty while nothing is added. */
  progress: ShallowRef<string>;
  add(files: Iterable<File> | null | undefined): Promise<void>;
  /** What is stored already stays. */
  stop(): void;
}

/** As below, and each comes to what is chosen already, once. */
export const useChoosePictures = (
  brand: () => string | undefined,
  chosen: Ref<FileId[]>,
): AddPictures =>
  useAddPictures(brand, (id) => {
    if (!chosen.value.includes(id)) chosen.value = [...chosen.value, id];
  });

/** Of what lies in a folder only pictures are meant; what is chosen by itself is refused with a sentence where it is none. */
const isMeant = ({ type, webkitRelativePath }: File): boolean =>
  webkitRelativePath === "" || type.startsWith("image/");

/**
 * Stores picture files one after another for a brand; each is told when it is there, and one that cannot be read is said and
 * left out. A folder may hold other files, which are none of it. Ends with its scope.
 */
export function useAddPictures(
  brand: () => string | undefined,
  added: (id: FileId) => void = () => undefined,
): AddPictures {
  const library = useLibrary();
  const toasts = useToasts();
  const progress = shallowRef("");
  let stopped = false;

  async function add(files: Iterable<File> | null | undefined): Promise<void> {
    const pictures = [...(files ?? [])].filter(isMeant);
    if (files && pictures.length === 0) toasts.tell("There is no picture in this folder.");
    stopped = false;
    for (const [at, file] of pictures.entries()) {
      if (stopped) break;
      progress.value = `${at + 1} of ${pictures.length}`;
      try {
        added((await library.addPicture(file, brand())).id);
      } catch (error) {
        toasts.fail(error);
      }
    }
    progress.value = "";
  }
  const stop = (): void => void (stopped = true);
  tryOnScopeDispose(stop);
  return { progress, add, stop };
}
