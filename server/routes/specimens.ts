import { z } from "zod";
import { SheetQuery, SpecimenQuery } from "../../core/api";
import type { FastifyReply } from "fastify";
import type { Services } from "../services/services";
import type { Routes } from "./typed";
import { Id } from "./params";

const Params = z.object({ id: z.string().min(1).max(100), page: z.string().min(1).max(40) });
const TYPES = { png: "image/png", svg: "image/svg+xml", pdf: "application/pdf" } as const;

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
      return download(reply, `${params.id}_specimen-${params.page}`, query.format).send(bytes);
    },
  );
  routes.get(
    "/api/brands/:id/sheet",
    {
      schema: {
        summary: "The brand sheet: a PDF of all pages, or one page as PNG or SVG",
        params: Id,
        querystring: SheetQuery,
      },
    },
    async ({ params: { id }, query }, reply) => {
      const { format, page } = query;
      if (format !== "pdf")
        return download(reply, `${id}_${page}`, format).send(
          await specimens.sheetPage(id, page, query),
        );
      const { name, bytes } = await specimens.sheet(id);
      return download(reply, `${name} brand sheet`, format).send(Buffer.from(bytes));
    },
  );
}

/** A file that is kept; an SVG that is opened all the same can only show itself. */
const download = (reply: FastifyReply, stem: string, format: keyof typeof TYPES): FastifyReply =>
  reply
    .header(
      "content-disposition",
      `attachment; filename*=UTF-8''${encodeURIComponent(`${stem}.${format}`)}`,
    )
    .header(
      "content-security-policy",
      "default-src 'none'; img-src data:; style-src 'unsafe-inline'",
    )
    .type(TYPES[format]);
