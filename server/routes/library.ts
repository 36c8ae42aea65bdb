import { writeFile } from "node:fs/promises";
import { join } from "node:path";
import { z } from "zod";
import {
  ArticleAnswer,
  ArticleOptions,
  ArticleText,
  ImportAnswer,
  PictureList,
  ProblemAnswer,
  TableAnswer,
  TableText,
} from "../../core/api";
import { outlineOfArticle } from "../services/articles";
import { FileId, PictureFile, PictureNote } from "../../core/files";
import type { Services } from "../services/services";
import type { Routes } from "./typed";
import { withScratch } from "../files/scratch";
import { exportCrate } from "../services/export";
import { importZip } from "../services/import";
import { FOREVER, Id, problems } from "./params";
import { MOST_TABLE, withUpload } from "./upload";

const RenditionQuery = z.object({
  width: z.coerce.number().int().min(1).max(4096),
});

export function addLibraryRoutes(routes: Routes, services: Services): void {
  const { library, renditions, context } = services;
  const { folder, reader } = context;
  const uploaded = { 413: ProblemAnswer, 415: ProblemAnswer, 422: ProblemAnswer };
  const FileParams = z.object({ id: FileId });

  routes.get(
    "/api/pictures",
    { schema: { summary: "All stored pictures", response: { 200: PictureList } } },
    async () => ({ pictures: await library.pictures() }),
  );
  routes.get(
    "/api/pictures/:id",
    {
      schema: {
        summary: "All that is known of a picture, as the layout needs it",
        params: FileParams,
        response: { 200: PictureFile, ...problems },
      },
    },
    ({ params }) => library.picture(params.id),
  );
  routes.put(
    "/api/pictures/:id",
    {
      schema: {
        summary: "Say what a picture is called, whom it is owed to and how it may be used",
        params: FileParams,
        body: PictureNote,
        response: { 200: PictureFile, ...problems },
      },
    },
    ({ params, body }) => library.note(params.id, body),
  );
  routes.post(
    "/api/pictures",
    {
      schema: {
        summary: "Store a picture (multipart, one file), for a brand if one is named",
        consumes: ["multipart/form-data"],
        querystring: z.object({ brand: z.string().max(80).optional() }),
        response: { 200: PictureFile, ...problems, ...uploaded },
      },
    },
    (request) =>
      withUpload(request, folder, ({ path, name }) =>
        library.addPicture(path, name, request.query.brand),
      ),
  );
  routes.get(
    "/api/pictures/:id/rendition",
    {
      schema: {
        summary: "A picture as WebP, scaled to a width, without loss",
        params: FileParams,
        querystring: RenditionQuery,
      },
    },
    async ({ params, query }, reply) => {
      const picture = await library.picture(params.id);
      const image = await renditions.get(picture, query.width);
      return reply.header("cache-control", FOREVER).type("image/webp").send(image);
    },
  );
  routes.get(
    "/api/files/:id",
    { schema: { summary: "A stored file's bytes", params: FileParams } },
    async ({ params }, reply) => {
      const bytes = await context.blobs.read(params.id);
      // A stored file is data, never a page: an SVG opened by its address must not run or reach out.
      return reply
        .header("cache-control", FOREVER)
        .header("content-security-policy", "default-src 'none'; style-src 'unsafe-inline'; sandbox")
        .header("x-content-type-options", "nosniff")
        .type("application/octet-stream")
        .send(bytes);
    },
  );
  routes.post(
    "/api/tables",
    {
      schema: {
        summary: "Read a CSV, JSON or XLSX file (multipart, one file)",
        consumes: ["multipart/form-data"],
        response: { 200: TableAnswer, ...problems, ...uploaded },
      },
    },
    (request) =>
      withUpload(request, folder, ({ path, name }) => reader.table(path, name), MOST_TABLE),
  );
  routes.post(
    "/api/tables/text",
    {
      schema: {
        summary: "Read a pasted table",
        body: TableText,
        response: { 200: TableAnswer, ...problems },
      },
    },
    ({ body }) =>
      withScratch(folder, async (scratch) => {
        const path = join(scratch, "table");
        await writeFile(path, body.text);
        return reader.table(path, "The table");
      }),
  );
  routes.post(
    "/api/articles",
    {
      schema: {
        summary:
          "Cut an article (Markdown, HTML, plain text, .docx or a PDF with text; multipart, one file) into the outline of a strip",
        consumes: ["multipart/form-data"],
        querystring: ArticleOptions,
        response: { 200: ArticleAnswer, ...problems, ...uploaded },
      },
    },
    (request) => {
      const { slides } = request.query;
      const cut = async ({ path, name }: { path: string; name: string }) =>
        outlineOfArticle(await reader.article(path, name), name, slides);
      return withUpload(request, folder, cut, MOST_TABLE);
    },
  );
  routes.post(
    "/api/articles/text",
    {
      schema: {
        summary: "Cut a pasted article into the outline of a strip",
        querystring: ArticleOptions,
        body: ArticleText,
        response: { 200: ArticleAnswer, ...problems },
      },
    },
    ({ body, query }) =>
      withScratch(folder, async (scratch) => {
        const path = join(scratch, "article");
        await writeFile(path, body.text);
        return outlineOfArticle(await reader.article(path, "The text"), "", query.slides);
      }),
  );
  routes.post(
    "/api/imports",
    {
      schema: {
        summary: "Import brands, crates and pieces from a zip (multipart, one file)",
        consumes: ["multipart/form-data"],
        response: { 200: ImportAnswer, ...problems, ...uploaded },
      },
    },
    async (request) => {
      const answer = await withUpload(request, folder, ({ path, name }) =>
        importZip(services, path, name),
      );
      // Nobody waits for it; what it does not come to is looked at after the next start.
      library.lookForFaces().catch((error: Error) => request.log.warn(error));
      return answer;
    },
  );
  routes.get(
    "/api/crates/:id/bundle",
    { schema: { summary: "A crate as a zip that can be imported", params: Id } },
    async ({ params }, reply) => {
      const zip = await exportCrate(services, params.id);
      return reply
        .header("content-disposition", `attachment; filename="${encodeURIComponent(zip.name)}"`)
        .type("application/zip")
        .send(zip.stream);
    },
  );
}
