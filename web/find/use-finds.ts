import { computed, type ComputedRef } from "vue";
import { useRouter, type RouteLocationRaw } from "vue-router";
import { useLibrary } from "../common/library";
import { isStripTemplate } from "../../core/templates";
import { useTemplates } from "../new-piece/templates";
import { channelName } from "../wall/packing";
import type { Found } from "./match";

/** All that can be gone to or done from anywhere: pieces, crates, kits, templates, placements, places and actions. */
export function useFinds(): ComputedRef<Found[]> {
  const library = useLibrary();
  const templates = useTemplates();
  const router = useRouter();
  const to = (where: RouteLocationRaw) => () => router.push(where);

  const places: Found[] = [
    { kind: "Place", name: "Crates", go: to({ name: "crates" }) },
    { kind: "Place", name: "Brand kits", go: to({ name: "brands" }) },
    { kind: "Place", name: "Templates", go: to({ name: "templates" }) },
    { kind: "Place", name: "Pictures", go: to({ name: "pictures" }) },
    { kind: "Place", name: "Placements", go: to({ name: "placements" }) },
    { kind: "Place", name: "Storage", words: "backup bin disk", go: to({ name: "storage" }) },
  ];
  const actions: Found[] = [
    { kind: "Action", name: "New brand kit", words: "add create", go: to({ name: "new-brand" }) },
  ];

  return computed(() => [
    ...library.crates.flatMap((crate) =>
      crate.pieces.map((piece): Found => ({
        kind: "Piece",
        name: piece.title,
        about: crate.name,
        go: to({ name: "piece", params: { id: piece.id, step: "sizes" } }),
      })),
    ),
    ...library.crates.flatMap((crate): Found[] => [
      {
        kind: "Crate",
        name: crate.name,
        about: library.brandById.get(crate.brand)?.name ?? "",
        go: to({ name: "crate", params: { id: crate.id } }),
      },
      {
        kind: "Action",
        name: "New piece",
        about: `in ${crate.name}`,
        words: "add create",
        go: to({ name: "new-piece", params: { into: crate.id } }),
      },
    ]),
    ...library.brands.map((brand): Found => ({
      kind: "Brand kit",
      name: brand.name,
      go: to({ name: "brand", params: { id: brand.id } }),
    })),
    ...actions,
    ...places,
    ...templates.templates.map((template): Found => ({
      kind: "Template",
      name: template.name,
      words: [...template.purposes, ...template.looks, ...template.occasions].join(" "),
      go: to({
        name: "templates",
        query: { find: template.name, ...(isStripTemplate(template) ? { kind: "carousel" } : {}) },
      }),
    })),
    ...library.placements.map((placement): Found => ({
      kind: "Placement",
      name: placement.name,
      about: `${placement.width} × ${placement.height}`,
      words: channelName(placement.channel),
      go: to({ name: "placements", query: { find: placement.name } }),
    })),
  ]);
}
