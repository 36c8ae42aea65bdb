import { z } from "zod";
import {
  AUTHOR_HEADER,
  AuthorHeader,
  CrateAnswer,
  CrateChange,
  CrateList,
  CrateWork,
  RebrandAnswer,
  RebrandRequest,
  EditRequest,
  LayoutChoices,
  NewCrate,
  NewPiece,
  HistoryAnswer,
  PieceAnswer,
  PieceFiling,
  ProblemAnswer,
  SetAnswer,
  SetRequest,
  SetState,
} from "../../core/api";
import { Piece } from "../../core/piece";
import type { Services } from "../services/services";
import { stream } from "./stream";
import type { Routes } from "./typed";
import { Id, problems } from "./params";

const OfSize = z.object({ placement: z.string().min(1) });
/** Of a strip: which slide, the first is 0. */
const OfSlide = OfSize.extend({ slide: z.coerce.number().int().min(0).default(0) });

export function addPieceRoutes(
  routes: Routes,
  { pieces, refits, sets, newPieces, filing, batches, deliveries }: Services,
): void {
  const ok = <T extends z.ZodType>(schema: T) => ({ response: { 200: schema, ...problems } });

  routes.get(
    "/api/crates",
    { schema: { summary: "All crates with their pieces", ...ok(CrateList) } },
    async () => ({ crates: await pieces.crates() }),
  );
  routes.post(
    "/api/crates",
    { schema: { summary: "A new, empty crate", body: NewCrate, ...ok(CrateAnswer) } },
    ({ body }) => pieces.addCrate(body.name, body.brand),
  );
  routes.get(
    "/api/crates/:id",
    { schema: { summary: "One crate with its pieces", params: Id, ...ok(CrateAnswer) } },
    ({ params }) => pieces.crate(params.id),
  );
  routes.get(
    "/api/crates/:id/work",
    {
      schema: {
        summary: "The batches and deliveries of a crate's pieces, newest first",
        params: Id,
        ...ok(CrateWork),
      },
    },
    async ({ params }) => {
      const crate = await pieces.crate(params.id);
      const ids = [...crate.pieces, ...crate.archived].map(({ id }) => id);
      return { batches: await batches.of(ids), deliveries: await deliveries.of(ids) };
    },
  );
  routes.put(
    "/api/crates/:id",
    { schema: { summary: "Rename a crate", params: Id, body: CrateChange, ...ok(CrateAnswer) } },
    ({ params, body }) => filing.rename(params.id, body.name),
  );
  routes.put(
    "/api/pieces/:id/filing",
    {
      schema: {
        summary: "Put a piece aside or bring it back, and move it to another crate",
        params: Id,
        body: PieceFiling,
        ...ok(PieceAnswer),
      },
    },
    ({ params, body }) => filing.keep(params.id, body),
  );
  routes.post(
    "/api/crates/:id/brand",
    {
      schema: {
        summary: "Give a whole crate another brand; answers what to look at",
        params: Id,
        body: RebrandRequest,
        ...ok(RebrandAnswer),
      },
    },
    ({ params, body }) => pieces.rebrandCrate(params.id, body.brand),
  );
  routes.post(
    "/api/crates/:id/set",
    {
      schema: {
        summary: "Lay pieces of a crate out as a set, in the arrangement of one of them",
        params: Id,
        body: SetRequest,
        ...ok(SetAnswer),
      },
    },
    ({ params, body }) => sets.lay(params.id, body),
  );
  routes.get(
    "/api/pieces/:id/set",
    { schema: { summary: "The set that a piece is laid out in", params: Id, ...ok(SetState) } },
    ({ params }) => sets.of(params.id),
  );
  routes.post(
    "/api/crates/:id/pieces",
    {
      schema: {
        summary: "A new piece: a copy of another, or a template with a message",
        params: Id,
        body: NewPiece,
        ...ok(PieceAnswer),
      },
    },
    ({ params, body }) => newPieces.create(params.id, body),
  );
  routes.get(
    "/api/pieces/:id",
    { schema: { summary: "One piece", params: Id, headers: AuthorHeader, ...ok(PieceAnswer) } },
    ({ params, headers }) => pieces.get(params.id, headers[AUTHOR_HEADER]),
  );
  routes.post(
    "/api/pieces/:id/edits",
    {
      schema: {
        summary: "Change a piece; 409 when another window changed the same thing",
        params: Id,
        headers: AuthorHeader,
        body: EditRequest,
        response: { 200: PieceAnswer, ...problems, 409: ProblemAnswer },
      },
    },
    ({ params, headers, body: { edit, ...options } }) =>
      pieces.edit(params.id, edit, { ...options, author: headers[AUTHOR_HEADER] }),
  );
  routes.post(
    "/api/pieces/:id/undo",
    {
      schema: {
        summary: "Take one's last change back",
        params: Id,
        headers: AuthorHeader,
        ...ok(PieceAnswer),
      },
    },
    ({ params, headers }) => pieces.undo(params.id, headers[AUTHOR_HEADER]),
  );
  routes.post(
    "/api/pieces/:id/redo",
    {
      schema: {
        summary: "Make the change taken back again",
        params: Id,
        headers: AuthorHeader,
        ...ok(PieceAnswer),
      },
    },
    ({ params, headers }) => pieces.redo(params.id, headers[AUTHOR_HEADER]),
  );
  routes.get(
    "/api/pieces/:id/history",
    {
      schema: {
        summary: "One's own steps, the newest first",
        params: Id,
        headers: AuthorHeader,
        ...ok(HistoryAnswer),
      },
    },
    ({ params, headers }) => pieces.history(params.id, headers[AUTHOR_HEADER]),
  );
  routes.get(
    "/api/pieces/:id/layouts",
    {
      schema: {
        summary: "The best layouts of one size, to pick from",
        params: Id,
        querystring: OfSlide,
        ...ok(LayoutChoices),
      },
    },
    ({ params, query }) => refits.layouts(params.id, query.placement, query.slide),
  );
  routes.get(
    "/api/pieces/:id/sheet",
    {
      schema: {
        summary: "All sizes of a piece on one page, at one scale, as PNG or PDF",
        params: Id,
        querystring: z.object({ format: z.enum(["png", "pdf"]).default("png") }),
      },
    },
    async ({ params, query }, reply) => {
      const { name, bytes } = await refits.sheet(params.id, query.format);
      return reply
        .header("content-disposition", `attachment; filename="${encodeURIComponent(name)}"`)
        .type(query.format === "pdf" ? "application/pdf" : "image/png")
        .send(Buffer.from(bytes));
    },
  );
  routes.get(
    "/api/pieces/:id/slides",
    {
      schema: {
        summary:
          "The slides of a strip at its lead size: a document with a page each, or one long picture",
        params: Id,
        querystring: z.object({ format: z.enum(["png", "pdf"]).default("pdf") }),
      },
    },
    async ({ params, query }, reply) => {
      const { name, bytes } = await refits.slides(params.id, query.format);
      return reply
        .header("content-disposition", `attachment; filename="${encodeURIComponent(name)}"`)
        .type(query.format === "pdf" ? "application/pdf" : "image/png")
        .send(Buffer.from(bytes));
    },
  );
  routes.get(
    "/api/pieces/:id/with-lead",
    {
      schema: {
        summary: "The piece as it would be with another lead size; nothing is saved",
        params: Id,
        querystring: OfSize,
        ...ok(Piece),
      },
    },
    ({ params, query }) => refits.withLead(params.id, query.placement),
  );
  routes.get(
    "/api/pieces/:id/events",
    { schema: { summary: "Server-sent events: the revision, each time it changes", params: Id } },
    async (request, reply) => {
      const { id } = request.params;
      await pieces.get(id);
      const tell = stream<number>(request, reply, (to) => pieces.events.listen(id, to));
      // Whoever comes back after a gap learns whether it missed anything.
      tell((await pieces.get(id)).revision);
    },
  );
}
