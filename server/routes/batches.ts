import { z } from "zod";
import {
  BatchAnswer,
  BatchList,
  BatchPlan,
  BatchRequest,
  ProblemAnswer,
  THUMBNAIL_WIDTHS as WIDTHS,
  VariationList,
  type ImageFormat,
} from "../../core/api";
import type { Services } from "../services/services";
import { stream } from "./stream";
import type { Routes } from "./typed";
import { Id, problems } from "./params";

/** What a finished file is, by how it was asked for. */
const TYPES: Record<ImageFormat, string> = {
  png: "image/png",
  jpeg: "image/jpeg",
  webp: "image/webp",
  svg: "image/svg+xml",
};

const Page = z.object({
  from: z.coerce.number().int().min(0).default(0),
  to: z.coerce.number().int().min(0).max(100_000).default(100),
});
const OutputParams = Id.extend({
  variation: z.coerce.number().int().min(0),
  placement: z.string(),
});

/** Few widths, so that few copies are kept. */
const Small = z.object({
  width: z.coerce
    .number()
    .refine((width) => WIDTHS.includes(width), `must be one of ${WIDTHS.join(", ")}`)
    .optional(),
  /** Of a strip: which of its slides, from 0. */
  slide: z.coerce.number().int().min(0).default(0),
  /** Which file it is to be; it tells apart what was made again, and answers what is there now. */
  version: z.string().max(64).optional(),
});

export function addBatchRoutes(
  routes: Routes,
  { context, pieces, batches, renditions }: Services,
): void {
  const ok = <T extends z.ZodType>(schema: T) => ({ response: { 200: schema, ...problems } });

  routes.post(
    "/api/pieces/:id/batches/plan",
    {
      schema: {
        summary: "What a batch would make",
        params: Id,
        body: BatchRequest,
        ...ok(BatchPlan),
      },
    },
    ({ params, body }) => batches.plan(params.id, body),
  );
  routes.post(
    "/api/pieces/:id/batches",
    { schema: { summary: "Start a batch", params: Id, body: BatchRequest, ...ok(BatchAnswer) } },
    ({ params, body }) => batches.start(params.id, body),
  );
  routes.get(
    "/api/pieces/:id/batches",
    { schema: { summary: "The batches of a piece, newest first", params: Id, ...ok(BatchList) } },
    async ({ params }) => ({ batches: await batches.of([params.id]) }),
  );
  routes.get(
    "/api/pieces/:id/batches/events",
    {
      schema: {
        summary: "Server-sent events: how far a batch of the piece is, whenever one moves",
        params: Id,
      },
    },
    async (request, reply) => {
      const { id } = request.params;
      await pieces.get(id);
      stream<BatchAnswer>(request, reply, (tell) => batches.news.listen(id, tell));
    },
  );
  routes.get(
    "/api/batches/:id",
    { schema: { summary: "How far a batch is", params: Id, ...ok(BatchAnswer) } },
    ({ params }) => batches.get(params.id),
  );
  for (const [turn, summary] of [
    ["pause", "Pause a batch until it is resumed"],
    ["cancel", "Stop a batch; what is finished stays"],
    ["resume", "Go on with a batch that was paused, cancelled or has failed"],
  ] as const)
    routes.post(
      `/api/batches/:id/${turn}`,
      { schema: { summary, params: Id, ...ok(BatchAnswer) } },
      ({ params }) => batches.turn(params.id, turn),
    );
  routes.post(
    "/api/batches/:id/again",
    {
      schema: {
        summary: "Make those files again that would come out otherwise now",
        params: Id,
        response: { 200: BatchAnswer, ...problems, 409: ProblemAnswer },
      },
    },
    ({ params }) => batches.again(params.id),
  );
  routes.get(
    "/api/batches/:id/variations",
    {
      schema: {
        summary: "Variations with their finished files",
        params: Id,
        querystring: Page,
        ...ok(VariationList),
      },
    },
    ({ params, query }) => batches.variations(params.id, query.from, query.to),
  );
  routes.get(
    "/api/batches/:id/outputs/:variation/:placement",
    {
      schema: {
        summary:
          "One finished file, of a strip one of its slides; with a width, a small JPEG of it",
        params: OutputParams,
        querystring: Small,
      },
    },
    async ({ params, query }, reply) => {
      const { id, ...of } = params;
      const file = { ...of, slide: query.slide };
      const { name, format, sha256 } = await batches.outputFile(id, file);
      reply.header("cache-control", "private, max-age=3600");
      return query.width
        ? reply.type(TYPES.jpeg).send(await renditions.ofMade(name, sha256, query.width))
        : reply.type(TYPES[format]).send(context.made.stream(name));
    },
  );
}
