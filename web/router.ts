import { createRouter, createWebHistory } from "vue-router";

export const steps = ["message", "look", "sizes", "batch", "preflight", "deliver"] as const;
export type Step = (typeof steps)[number];

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: "/", name: "crates", component: () => import("./crates/CratesView.vue") },
    {
      path: "/crates/:id",
      name: "crate",
      component: () => import("./crates/CrateView.vue"),
      props: true,
    },
    { path: "/archive", name: "archive", component: () => import("./crates/ArchiveView.vue") },
    {
      path: "/crates/:into/new",
      name: "new-piece",
      component: () => import("./new-piece/NewPieceView.vue"),
      props: true,
    },
    {
      path: "/templates",
      name: "templates",
      component: () => import("./new-piece/NewPieceView.vue"),
    },
    {
      path: "/placements",
      name: "placements",
      component: () => import("./placements/PlacementsView.vue"),
    },
    { path: "/storage", name: "storage", component: () => import("./storage/StorageView.vue") },
    { path: "/brands", name: "brands", component: () => import("./kit/KitsView.vue") },
    {
      path: "/pictures",
      name: "pictures",
      component: () => import("./pictures/PicturesView.vue"),
    },
    { path: "/brands/new", name: "new-brand", component: () => import("./kit/NewBrandView.vue") },
    {
      path: "/brands/:id",
      name: "brand",
      component: () => import("./kit/BrandView.vue"),
      props: true,
    },
    {
      path: "/brands/:id/specimen",
      name: "specimen",
      component: () => import("./kit/SpecimenView.vue"),
      props: true,
    },
    {
      path: "/brands/:id/sheet",
      name: "sheet",
      component: () => import("./kit/SheetView.vue"),
      props: true,
    },
    { path: "/pieces/:id", redirect: (to) => `${to.path}/sizes` },
    {
      path: `/pieces/:id/:step(${steps.join("|")})`,
      name: "piece",
      component: () => import("./workbench/WorkbenchView.vue"),
      props: true,
    },
    {
      path: "/batches/:id",
      name: "batch",
      component: () => import("./choosing/BatchView.vue"),
      props: true,
    },
    { path: "/:rest(.*)", component: () => import("./common/NotFoundView.vue") },
  ],
});
