import { z } from "zod";
import {
  BrandChange,
  BrandList,
  BrandVersionList,
  ColourFormat,
  FontAnswer,
  PaletteAnswer,
  ProblemAnswer,
} from "../../core/api";
import { Brand } from "../../core/brand";
import { FileId } from "../../core/files";
import { NewBrand } from "../../core/kit";
import type { Routes, Services } from "../app";
import { toSfnt } from "../files/sfnt";
import { exportColours, exportKit } from "../imports/export";
import { FOREVER, Id, problems } from "./params";
import { upload } from "./upload";

const FileParams = z.object({ id: FileId });
const uploaded = { 413: ProblemAnswer, 415: ProblemAnswer, 422: ProblemAnswer };

/** Brand kits, and what they are made of: fonts, and colours read off pictures. */
export function addBrandRoutes(routes: Routes, services: Services): void {
  const { library, around } = services;

  routes.get(
    "/api/brands",
    { schema: { summary: "All brand kits", response: { 200: BrandList } } },
    async () => ({ brands: await library.brands() }),
  );
  routes.get(
    "/api/brands/:id",
    { schema: { summary: "One brand kit", params: Id, response: { 200: Brand, ...problems } } },
    ({ params }) => library.brand(params.id),
  );
  routes.post(
    "/api/brands",
    {
      schema: { summary: "A new brand kit", body: NewBrand, response: { 200: Brand, ...problems } },
    },
    ({ body }) => library.addBrand(body),
  );
  routes.put(
    "/api/brands/:id",
    {
      schema: {
        summary: "Change a brand kit; what it was is kept",
        params: Id,
        body: BrandChange,
        response: { 200: Brand, ...problems, 409: ProblemAnswer },
      },
    },
    ({ params, body }) => library.changeBrand(params.id, body.brand, body.version),
  );
  routes.get(
    "/api/brands/:id/versions",
    {
      schema: {
        summary: "What a brand kit has been, newest first",
        params: Id,
        response: { 200: BrandVersionList, ...problems },
      },
    },
    async ({ params }) => ({ versions: await library.brandVersions(params.id) }),
  );
  routes.post(
    "/api/palettes",
    {
      schema: {
        summary: "Store a logo or screenshot and propose its colours (multipart, one file)",
        consumes: ["multipart/form-data"],
        response: { 200: PaletteAnswer, ...problems, ...uploaded },
      },
    },
    async (request) => {
      const { bytes, name } = await upload(request);
      return library.proposeColours(bytes, name);
    },
  );
  routes.get(
    "/api/fonts/:id",
    { schema: { summary: "A font, stored or shipped, as unpacked OpenType", params: FileParams } },
    async ({ params }, reply) => {
      const font = await toSfnt(await around.files.read(params.id));
      return reply.header("cache-control", FOREVER).type("font/sfnt").send(Buffer.from(font));
    },
  );
  routes.post(
    "/api/fonts",
    {
      schema: {
        summary: "Check and store a font (multipart, one file)",
        consumes: ["multipart/form-data"],
        response: { 200: FontAnswer, ...problems, ...uploaded },
      },
    },
    async (request) => {
      const { bytes, name } = await upload(request);
      return library.addFont(bytes, name);
    },
  );
  routes.get(
    "/api/brands/:id/colours/:as",
    {
      schema: {
        summary: "A kit's colours as design tokens, CSS custom properties or a plain palette",
        params: Id.extend({ as: ColourFormat }),
      },
    },
    async ({ params }, reply) => {
      const { name, text } = exportColours(await library.brand(params.id), params.as);
      return reply
        .header("content-disposition", `attachment; filename="${encodeURIComponent(name)}"`)
        .type("text/plain; charset=utf-8")
        .send(text);
    },
  );
  routes.get(
    "/api/brands/:id/kit",
    { schema: { summary: "A kit with its files, as a zip that can be imported", params: Id } },
    async ({ params }, reply) => {
      const { name, bytes } = await exportKit(services, params.id);
      return reply
        .header("content-disposition", `attachment; filename="${encodeURIComponent(name)}"`)
        .type("application/zip")
        .send(Buffer.from(bytes));
    },
  );
}
