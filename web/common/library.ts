import { defineStore } from "pinia";
import { computed, ref, shallowRef } from "vue";
import {
  photographsIn,
  photographsOf,
  type ListedCrate,
  type PlacementList,
  type StoredPicture,
} from "../../core/api";
import type { Brand } from "../../core/brand";
import type { PictureFile } from "../../core/files";
import { placementOf as placementIn } from "../../core/piece";
import type { Placement } from "../../core/placements";
import { api } from "../api/client";

/** What every view needs: crates, brands, placements and pictures. */
export const useLibrary = defineStore("library", () => {
  const crates = shallowRef<ListedCrate[]>([]);
  const brands = shallowRef<Brand[]>([]);
  const lockedBrands = shallowRef<ReadonlySet<string>>(new Set());
  const demoBrands = shallowRef<ReadonlySet<string>>(new Set());
  const catalogue = shallowRef<PlacementList>();
  const pictures = shallowRef<StoredPicture[]>([]);
  const state = ref<"loading" | "ready" | "failed">("loading");
  const failure = ref("");

  const placements = computed<Placement[]>(() => catalogue.value?.placements ?? []);
  const placementById = computed(() => new Map(placements.value.map((p) => [p.id, p])));
  /** Where a piece goes by that name: a size of its own, or one of the catalogue. */
  const placementOf = (
    piece: Parameters<typeof placementIn>[0],
    id: string,
  ): Placement | undefined => placementIn(piece, id, (wanted) => placementById.value.get(wanted));
  const brandById = computed(() => new Map(brands.value.map((brand) => [brand.id, brand])));

  const photographs = computed(() => photographsIn(pictures.value, brands.value));
  const ofBrand = (brand: string): StoredPicture[] => photographsOf(photographs.value, brand);

  async function load(): Promise<void> {
    state.value = state.value === "ready" ? "ready" : "loading";
    try {
      const [c, b, p, f] = await Promise.all([
        api.crates(),
        api.brands(),
        api.placements(),
        api.pictures(),
      ]);
      crates.value = c.crates;
      brands.value = b.brands;
      lockedBrands.value = new Set(b.locked);
      demoBrands.value = new Set(b.demo);
      catalogue.value = p;
      pictures.value = f.pictures;
      state.value = "ready";
    } catch (error) {
      failure.value = (error as Error).message;
      state.value = "failed";
    }
  }

  /** Stores a picture file, for a brand if one is named, and adds it to the shelf. Throws with the server's sentence. */
  async function addPicture(file: File, brand?: string): Promise<PictureFile> {
    const picture = await api.addPicture(file, brand);
    const own = brand ? [brand] : [];
    const known = pictures.value.find(({ id }) => id === picture.id);
    const brands = [...new Set([...(known?.brands ?? []), ...own])];
    const others = pictures.value.filter((one) => one !== known);
    pictures.value = [...others, { ...picture, brands }];
    return picture;
  }

  return {
    crates,
    brands,
    lockedBrands,
    demoBrands,
    catalogue,
    placements,
    pictures,
    state,
    failure,
    photographs,
    photographsOf: ofBrand,
    placementOf,
    brandById,
    load,
    addPicture,
  };
});
