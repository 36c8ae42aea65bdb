import { useLocalStorage } from "@vueuse/core";
import { computed, type ComputedRef } from "vue";
import { useRouter } from "vue-router";
import type { ListedCrate } from "../../core/api";
import type { Brand } from "../../core/brand";
import { api } from "../api/client";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";

/** What a new user does next: make a kit of their own, or a first piece with it. Nothing once that is done. */
export type FirstStep = { do: "kit" } | { do: "piece"; brand: Brand };

interface Library {
  brands: readonly Brand[];
  /** Ids of the brands that came with the program. */
  demoBrands: ReadonlySet<string>;
  crates: readonly ListedCrate[];
}

export function firstStep({ brands, demoBrands, crates }: Library): FirstStep | undefined {
  const own = brands.filter(({ id }) => !demoBrands.has(id));
  const newest = own.at(-1);
  if (!newest) return { do: "kit" };
  const isUsed = crates.some(
    (crate) =>
      own.some(({ id }) => id === crate.brand) && crate.pieces.length + crate.archived.length > 0,
  );
  return isUsed ? undefined : { do: "piece", brand: newest };
}

/** The step, unless somebody wants to look round first. */
export function useFirstStep(): {
  step: ComputedRef<FirstStep | undefined>;
  lookRound: () => void;
} {
  const library = useLibrary();
  const looksRound = useLocalStorage("looks-round", false);
  return {
    step: computed(() => {
      const next = library.state === "ready" ? firstStep(library) : undefined;
      return next?.do === "kit" && looksRound.value && library.brands.length > 0 ? undefined : next;
    }),
    lookRound: () => void (looksRound.value = true),
  };
}

/** Leads from a kit to what its first piece says: into a crate of the brand, or into a new one. */
export function useFirstPiece(): (brand: Brand) => Promise<void> {
  const library = useLibrary();
  const toasts = useToasts();
  const router = useRouter();
  return async (brand) => {
    try {
      const there = library.crates.find((crate) => crate.brand === brand.id);
      const into = there?.id ?? (await api.addCrate("First campaign", brand.id)).id;
      if (!there) await library.load();
      await router.push({ name: "new-piece", params: { into } });
    } catch (error) {
      toasts.fail(error);
    }
  };
}
