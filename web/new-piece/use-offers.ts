import { tryOnScopeDispose } from "@vueuse/core";
import { computed, ref, shallowRef, watch, type ComputedRef, type Ref } from "vue";
import type { Brand } from "../../core/brand";
import { inOrder } from "../../core/offers";
import type { Piece } from "../../core/piece";
import type { Template } from "../../core/templates";
import { useLibrary } from "../common/library";
import { offers } from "../wall/painter";
import type { Offered } from "../wall/protocol";

interface OffersOptions {
  /** What may be begun with, each as the piece that it would be. */
  pieces: () => { template: Template; piece: Piece }[];
  brand: () => Brand | undefined;
  /** Whether there is anything to weigh them by; else they stay as they are given. */
  wanted: () => boolean;
}

interface Offers {
  /** The same, those first that come out best. What has not been weighed yet keeps its place behind. */
  ordered: ComputedRef<{ template: Template; piece: Piece }[]>;
  /** From a change until what comes of it has been weighed. */
  busy: Ref<boolean>;
}

/** After the last key, in milliseconds. */
const PAUSE = 180;

/** Orders templates by what they make of a message, weighed off the main thread; ends with its scope. */
export function useOffers({ pieces, brand, wanted }: OffersOptions): Offers {
  const library = useLibrary();
  const weighed = shallowRef<readonly Offered[]>([]);
  const busy = ref(false);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let asked = 0;

  async function weigh(): Promise<void> {
    const turn = ++asked;
    const kit = brand();
    if (!kit || !wanted()) {
      weighed.value = [];
      busy.value = false;
      return;
    }
    const all = pieces().flatMap(({ template, piece }) => {
      const lead = library.placementOf(piece, piece.lead);
      return lead ? [{ template, piece, lead }] : [];
    });
    try {
      const answer = await offers({ brand: kit, wanted: all });
      if (turn === asked) weighed.value = answer;
    } catch (error) {
      // The order stays as it is; every template can be chosen all the same.
      console.error("The templates could not be compared with your message.", error);
    } finally {
      if (turn === asked) busy.value = false;
    }
  }

  watch(
    () => [pieces(), brand(), wanted()] as const,
    () => {
      busy.value = wanted();
      clearTimeout(timer);
      timer = setTimeout(() => void weigh(), weighed.value.length === 0 ? 0 : PAUSE);
    },
    { immediate: true },
  );
  tryOnScopeDispose(() => {
    clearTimeout(timer);
    asked++;
  });

  const ordered = computed(() => {
    const all = pieces();
    if (!wanted() || weighed.value.length === 0) return all;
    const byId = new Map(weighed.value.map((one) => [one.id, one]));
    return inOrder(
      all.map((one) => {
        const { cost = Infinity, ground = "" } = byId.get(one.template.id) ?? {};
        return { ...one, cost, ground };
      }),
    );
  });
  return { ordered, busy };
}
