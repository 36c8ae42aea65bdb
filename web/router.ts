import { createRouter, createWebHistory } from "vue-router";

export const steps = ["message", "look", "sizes", "batch", "preflight", "deliver"] as const;
export type Step = (typeof steps)[number];

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: "/", name: "crates", component: () => import("./views/CratesView.vue") },
    {
      path: "/crates/:into/new",
      name: "new-piece",
      component: () => import("./views/NewPieceView.vue"),
      props: true,
    },
    { path: "/templates", name: "templates", component: () => import("./views/NewPieceView.vue") },
    {
      path: "/placements",
      name: "placements",
      component: () => import("./views/PlacementsView.vue"),
    },
    { path: "/storage", name: "storage", component: () => import("./views/StorageView.vue") },
    { path: "/brands/new", name: "new-brand", component: () => import("./views/NewBrandView.vue") },
    {
      path: "/brands/:id",
      name: "brand",
      component: () => import("./views/BrandView.vue"),
      props: true,
    },
    {
      path: "/brands/:id/specimen",
      name: "specimen",
      component: () => import("./views/SpecimenView.vue"),
      props: true,
    },
    {
      path: "/brands/:id/sheet",
      name: "sheet",
      component: () => import("./views/SheetView.vue"),
      props: true,
    },
    { path: "/pieces/:id", redirect: (to) => `${to.path}/sizes` },
    {
      path: `/pieces/:id/:step(${steps.join("|")})`,
      name: "piece",
      component: () => import("./views/WorkbenchView.vue"),
      props: true,
    },
    { path: "/:rest(.*)", component: () => import("./views/NotFoundView.vue") },
  ],
});
