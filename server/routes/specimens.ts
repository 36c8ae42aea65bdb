import { z } from "zod";
import { SpecimenQuery } from "../../core/api";
import type { Routes, Services } from "../app";

const Params = z.object({ id: z.string().min(1).max(100), page: z.string().min(1).max(40) });
const TYPES = { png: "image/png", svg: "image/svg+xml" } as const;

export function addSpecimenRoutes(routes: Routes, { specimens }: Services): void {
  routes.get(
    "/api/brands/:id/specimen/:page",
    {
      schema: {
        summary: "A page that shows what can be painted in a brand, as PNG or SVG",
        params: Params,
        querystring: SpecimenQuery,
      },
    },
    async ({ params, query }, reply) => {
      const bytes = await specimens.page(params.id, params.page, query);
      const name = `${params.id}_specimen-${params.page}.${query.format}`;
      return reply
        .header("content-disposition", `attachment; filename="${name}"`)
        .header(
          "content-security-policy",
          "default-src 'none'; img-src data:; style-src 'unsafe-inline'",
        )
        .type(TYPES[query.format])
        .send(bytes);
    },
  );
}
