import { DeliveryAnswer, DeliveryList, DeliveryRequest } from "../../core/api";
import type { Services } from "../services/services";
import type { Routes } from "./typed";
import { Id, problems } from "./params";

export function addDeliveryRoutes(routes: Routes, { context, deliveries }: Services): void {
  routes.post(
    "/api/pieces/:id/deliveries",
    {
      schema: {
        summary: "Make a zip of sizes and variations",
        params: Id,
        body: DeliveryRequest,
        response: { 200: DeliveryAnswer, ...problems },
      },
    },
    ({ params, body }) => deliveries.start(params.id, body),
  );
  routes.get(
    "/api/pieces/:id/deliveries",
    {
      schema: {
        summary: "The deliveries of a piece, newest first",
        params: Id,
        response: { 200: DeliveryList, ...problems },
      },
    },
    async ({ params }) => ({ deliveries: await deliveries.of([params.id]) }),
  );
  routes.get(
    "/api/deliveries/:id",
    {
      schema: {
        summary: "How far a delivery is",
        params: Id,
        response: { 200: DeliveryAnswer, ...problems },
      },
    },
    ({ params }) => deliveries.get(params.id),
  );
  for (const [what, summary] of [
    ["cancel", "Stop making a delivery"],
    ["resume", "Make a delivery anew that was paused, cancelled or has failed"],
  ] as const)
    routes.post(
      `/api/deliveries/:id/${what}`,
      { schema: { summary, params: Id, response: { 200: DeliveryAnswer, ...problems } } },
      ({ params }) => deliveries[what](params.id),
    );
  routes.get(
    "/api/deliveries/:id/file",
    { schema: { summary: "The zip of a finished delivery", params: Id } },
    async ({ params }, reply) => {
      const { file, name } = await deliveries.file(params.id);
      return reply
        .header("content-disposition", `attachment; filename*=UTF-8''${encodeURIComponent(name)}`)
        .type("application/zip")
        .send(context.made.stream(file));
    },
  );
}
