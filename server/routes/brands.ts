import { z } from "zod";
import {
  BrandChange,
  BrandDeletion,
  BrandKey,
  BrandList,
  BrandVersionList,
  ColourFormat,
  RebrandAnswer,
  FontAnswer,
  LogoWish,
  OutdatedList,
  PaletteAnswer,
  ProblemAnswer,
  SpreadPinning,
} from "../../core/api";
import { Brand } from "../../core/brand";
import { FileId, PictureFile } from "../../core/files";
import { NewBrand } from "../../core/kit";
import type { Services } from "../services/services";
import type { Routes } from "./typed";
import { toSfnt } from "../files/sfnt";
import { demoBrands } from "../demo";
import { exportColours, exportKit } from "../services/export";
import { FOREVER, Id, problems } from "./params";
import { withUpload } from "./upload";

const FileParams = z.object({ id: FileId });
const uploaded = { 413: ProblemAnswer, 415: ProblemAnswer, 422: ProblemAnswer };

/** Brand kits, and what they are made of: fonts, and colours read off pictures. */
export function addBrandRoutes(routes: Routes, services: Services): void {
  const { library, kits, context } = services;

  routes.get(
    "/api/brands",
    { schema: { summary: "All brand kits", response: { 200: BrandList } } },
    async () => ({
      brands: await library.brands(),
      locked: await kits.locked(),
      demo: await demoBrands(context.store),
    }),
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
    ({ body }) => kits.add(body),
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
    ({ params, body }) => kits.change(params.id, body.brand, body.version, body.key),
  );
  routes.put(
    "/api/brands/:id/spreads",
    {
      schema: {
        summary: "Pin a spread to a brand kit as it is now, or take it off",
        params: Id,
        body: SpreadPinning,
        response: { 200: Brand, ...problems },
      },
    },
    ({ params, body }) => kits.pin(params.id, body),
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
    async ({ params }) => ({ versions: await kits.versions(params.id) }),
  );
  routes.delete(
    "/api/brands/:id",
    {
      schema: {
        summary: "Delete a brand kit; what has it gets another first",
        params: Id,
        body: BrandDeletion,
        response: { 200: RebrandAnswer, ...problems, 409: ProblemAnswer },
      },
    },
    ({ params, body }) => kits.remove(params.id, body.instead, body.key),
  );
  for (const to of ["lock", "unlock"] as const) {
    routes.post(
      `/api/brands/:id/${to}`,
      {
        schema: {
          summary:
            to === "lock"
              ? "From now on the kit is changed with this key only"
              : "Anybody may change the kit again",
          params: Id,
          body: BrandKey,
          response: { 200: z.object({ locked: z.boolean() }), ...problems },
        },
      },
      async ({ params, body }) => {
        await kits[to](params.id, body.key);
        return { locked: to === "lock" };
      },
    );
  }
  routes.get(
    "/api/brands/:id/outdated",
    {
      schema: {
        summary: "Deliveries and batches that would come out otherwise today",
        params: Id,
        response: { 200: OutdatedList, ...problems },
      },
    },
    async ({ params }) => ({ outdated: await kits.outdated(params.id) }),
  );
  routes.post(
    "/api/pictures/:id/logo",
    {
      schema: {
        summary: "Another version of a logo: without its flat ground, or in one colour",
        params: FileParams,
        body: LogoWish,
        response: { 200: PictureFile, ...problems, 422: ProblemAnswer },
      },
    },
    ({ params, body }) => library.logoVersion(params.id, body),
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
    (request) =>
      withUpload(request, context.folder, ({ path, name }) => library.proposeColours(path, name)),
  );
  routes.get(
    "/api/fonts/:id",
    { schema: { summary: "A font, stored or shipped, as unpacked OpenType", params: FileParams } },
    async ({ params }, reply) => {
      const font = await toSfnt(await context.files.read(params.id));
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
    (request) =>
      withUpload(request, context.folder, ({ path, name }) => library.addFont(path, name)),
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
      const { name, stream } = await exportKit(services, params.id);
      return reply
        .header("content-disposition", `attachment; filename="${encodeURIComponent(name)}"`)
        .type("application/zip")
        .send(stream);
    },
  );
}
