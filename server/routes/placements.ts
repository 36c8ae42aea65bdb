import {
  PlacementFacts,
  PlacementImport,
  PlacementList,
  PlacementUses,
  ProblemAnswer,
} from "../../core/api";
import { Catalogue, Placement, shippedPlacement } from "../../core/placements";
import { readDocument } from "../../core/reading";
import type { Services } from "../services/services";
import type { Routes } from "./typed";
import { Id, problems } from "./params";

export function addPlacementRoutes(routes: Routes, { placements }: Services): void {
  const list = (catalogue: Catalogue): PlacementList => ({
    ...catalogue,
    shipped: catalogue.placements.flatMap((placement) => {
      const shipped = shippedPlacement(placement.id);
      return shipped && shipped !== placement ? [shipped] : [];
    }),
  });

  routes.get(
    "/api/placements",
    { schema: { summary: "The placement catalogue", response: { 200: PlacementList } } },
    async () => list(await placements.catalogue()),
  );
  routes.get(
    "/api/placements/export",
    { schema: { summary: "The placement catalogue as a file" } },
    async (_request, reply) =>
      reply
        .header("content-disposition", 'attachment; filename="placements.json"')
        .type("application/json")
        .send(`${JSON.stringify(await placements.catalogue(), null, 2)}\n`),
  );
  routes.post(
    "/api/placements",
    {
      schema: {
        summary: "Add a placement",
        body: PlacementFacts,
        response: { 200: Placement, ...problems },
      },
    },
    ({ body }) => placements.add(body),
  );
  routes.post(
    "/api/placements/import",
    {
      schema: {
        summary: "Take placements in from an exported catalogue; known ids are corrected",
        response: { 200: PlacementImport, ...problems },
      },
    },
    ({ body }) => placements.take(readDocument(Catalogue, body, "The catalogue").placements),
  );
  routes.put(
    "/api/placements/:id",
    {
      schema: {
        summary: "Correct, rename, retire or bring back a placement",
        params: Id,
        body: PlacementFacts,
        response: { 200: Placement, ...problems },
      },
    },
    ({ params, body }) => placements.change(params.id, body),
  );
  routes.delete(
    "/api/placements/:id",
    {
      schema: {
        summary: "Give a shipped placement its shipped facts back, or delete an added one",
        params: Id,
        response: { 200: PlacementList, ...problems, 409: ProblemAnswer },
      },
    },
    async ({ params }) => list(await placements.remove(params.id)),
  );
  routes.get(
    "/api/placements/:id/pieces",
    {
      schema: {
        summary: "The pieces that go to a placement",
        params: Id,
        response: { 200: PlacementUses, ...problems },
      },
    },
    async ({ params }) => ({ pieces: await placements.users(params.id) }),
  );
}
