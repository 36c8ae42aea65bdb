import { z } from "zod";
import {
  ContactSheet,
  ContactSheetPage,
  PieceAnswer,
  ResultsAnswer,
  ResultsTable,
  VariationMark,
} from "../../core/api";
import type { Services } from "../services/services";
import { Id, problems } from "./params";
import type { Routes } from "./typed";

const Which = z.object({ placement: z.string().optional() });
const One = Id.extend({ variation: z.coerce.number().int().min(0) });

const Done = z.object({});

export function addChoosingRoutes(routes: Routes, { batches, choosing }: Services): void {
  const ok = <T extends z.ZodType>(schema: T) => ({ response: { 200: schema, ...problems } });

  routes.get(
    "/api/batches/:id/sheet",
    {
      schema: {
        summary: "The variations of a batch on one placement: measures, decisions, repeats",
        params: Id,
        querystring: Which,
        ...ok(ContactSheet),
      },
    },
    ({ params, query }) => choosing.sheet(params.id, query.placement),
  );
  routes.get(
    "/api/batches/:id/sheet/file",
    {
      schema: {
        summary: "A contact sheet to be sent round, as PDF or PNG",
        params: Id,
        querystring: ContactSheetPage,
      },
    },
    async ({ params, query }, reply) => {
      const { name, bytes } = await choosing.page(params.id, query);
      return reply
        .header("content-disposition", `attachment; filename="${encodeURIComponent(name)}"`)
        .type(query.format === "pdf" ? "application/pdf" : "image/png")
        .send(Buffer.from(bytes));
    },
  );
  routes.put(
    "/api/batches/:id/variations/:variation/mark",
    {
      schema: {
        summary: "Keep, maybe or drop a variation, and note something about it",
        params: One,
        body: VariationMark,
        ...ok(Done),
      },
    },
    async ({ params, body }) => {
      await choosing.mark(params.id, params.variation, body);
      return {};
    },
  );
  routes.post(
    "/api/batches/:id/variations/:variation/piece",
    {
      schema: {
        summary:
          "A variation as a piece, to be changed by hand; it holds when the batch is made again",
        params: One,
        ...ok(PieceAnswer),
      },
    },
    ({ params }) => batches.openVariation(params.id, params.variation),
  );
  routes.post(
    "/api/batches/:id/results",
    {
      schema: {
        summary: "Read how the variations did, in place of an earlier report",
        params: Id,
        body: ResultsTable,
        ...ok(ResultsAnswer),
      },
    },
    ({ params, body }) => choosing.readResults(params.id, body),
  );
  routes.get(
    "/api/batches/:id/results",
    {
      schema: {
        summary: "What can be concluded of how the variations did",
        params: Id,
        ...ok(ResultsAnswer),
      },
    },
    ({ params }) => choosing.results(params.id),
  );
  routes.delete(
    "/api/batches/:id/results",
    { schema: { summary: "Take a report away", params: Id, ...ok(Done) } },
    async ({ params }) => {
      await choosing.removeResults(params.id);
      return {};
    },
  );
}
